import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { install, ours, Site, skeletons, snippet } from '../../corpus/site'
import type { Look } from './look'
import { Plan } from './plan'
import { verify } from './verify'

const url = 'https://ferries.example/timetable'
const look = (html: string, how: Look['how'] = 'served'): Look => ({
  how,
  url,
  finalUrl: url,
  status: 200,
  headers: {},
  html,
  at: '2026-11-24T12:00:00Z',
  ms: 12,
  error: null,
})

/** What happens to a snippet or its page that makes it worse, whatever it was before. */
const worse: Record<string, (text: string) => string> = {
  'its script removed': (text) => text.replace(/<script.*\n/, ''),
  'its script held back': (text) => text.replace('<script', '<script type="text/plain"'),
  'a copy added': (text) => text + text,
  'put into a comment': (text) => `<!-- ${text.replace(/<!--.*?-->/g, '')} -->`,
  'put into a template': (text) => `<template>${text}</template>`,
  'put into noscript': (text) => `<noscript>${text}</noscript>`,
  'shown as text': (text) => `<p>${text.replace(/&/g, '&amp;').replace(/</g, '&lt;')}</p>`,
  hidden: (text) => `<div style="display: none">${text}</div>`,
  'taken out': () => '',
}

const sites = fc
  .constantFrom(...skeletons)
  .chain((skeleton) => fc.constantFrom(...new Set(skeleton.slots)).map((region) => new Site(skeleton, region)))
const plan = (site: Site, more = {}) =>
  Plan.parse({ install, origin: ours, placement: { region: site.region, width: 300 }, url, ...more })

describe('a verdict never gets better when a page gets worse', () => {
  it.each(Object.keys(worse))('%s', (how) => {
    fc.assert(
      fc.property(sites, fc.boolean(), (site, cached) => {
        const text = worse[how]!(snippet())
        const looks = cached ? [look(site.with(text)), look(site.with(snippet()), 'fresh')] : [look(site.with(text))]
        expect(verify(plan(site), looks).status).toBe('needs-a-hand')
      }),
      { numRuns: 40 },
    )
  })
  it('moved to another region', () => {
    fc.assert(
      fc.property(sites, (site) => {
        fc.pre(new Set(site.skeleton.slots).size > 1)
        expect(verify(plan(site), [look(site.elsewhere(snippet()))]).status).toBe('needs-a-hand')
      }),
    )
  })
  it('is not taken for gone while anything of it is left', () => {
    const left = Object.entries(worse).filter(([how]) => how !== 'taken out' && how !== 'put into a comment')
    fc.assert(
      fc.property(sites, fc.constantFrom(...left), (site, [, change]) => {
        const verdict = verify(plan(site, { retiring: true, status: 'confirmed' }), [
          look(site.with(change(snippet()))),
        ])
        expect(verdict.status).toBe('needs-a-hand')
      }),
    )
  })
})

it('no page makes it throw', () => {
  const pieces = fc.constantFrom(
    ...[
      '<',
      '>',
      '</',
      '"',
      '<script',
      '<table>',
      '<iframe srcdoc="',
      '<template>',
      '<style>',
      '<!--',
      '-->',
      '<frameset>',
      '<svg>',
      '&',
      snippet(),
    ],
  )
  fc.assert(
    fc.property(sites, fc.array(fc.tuple(fc.nat(), pieces), { maxLength: 6 }), (site, cuts) => {
      let html = site.with(snippet())
      for (const [at, piece] of cuts)
        html = html.slice(0, at % html.length) + piece + html.slice((at * 7) % html.length)
      verify(plan(site), [look(html), look(site.empty, 'fresh')])
    }),
    { numRuns: 300 },
  )
})
