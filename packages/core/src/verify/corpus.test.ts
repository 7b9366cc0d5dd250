import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { Element } from 'domhandler'
import { isElement, parsePage } from './page'
import { placeOf } from './region'
import { findTraces } from './traces'
import { verify } from './verify'
import { cases, places } from '../../corpus/corpus'
import { skeletons } from '../../corpus/site'

// What is right for a practitioner, on pages as editors, themes, optimisers, caches and consent tools make them: written by
// hand, without a published source. Many cases in one test each, since a page takes longer to describe than to judge.

describe('the corpus', () => {
  it('is as wide as it is meant to be', () => {
    const languages = new Set(skeletons.map((skeleton) => /<html lang="?(\w+)/i.exec(skeleton.fill({}))?.[1]))
    expect(skeletons.length).toBeGreaterThanOrEqual(25)
    expect(languages.size).toBeGreaterThanOrEqual(16)
    expect(cases().length).toBeGreaterThanOrEqual(200)
  })

  it('is judged as a practitioner would', () => {
    const wrong = cases().flatMap(({ name, plan, looks, says }) => {
      const got = verify(plan, looks).findings.map(({ code }) => code)
      return got.sort().join() === [...says].sort().join()
        ? []
        : [`${name}: ${got.join(', ') || 'well'}, not ${says.join(', ') || 'well'}`]
    })
    expect(wrong).toEqual([])
  })

  it('is told place by place', () => {
    const wrong = places().flatMap(({ name, region, html }) => {
      const page = parsePage(html)
      const found = placeOf(page, findTraces(page).live[0]!.node).region
      return found === region ? [] : [`${name}: ${found}`]
    })
    expect(wrong).toEqual([])
  })
})

/** Pages of manuals and templates from the package registries, with the points that a person named. See corpus/fixtures/foreign/README.md. */
const folder = new URL('../../corpus/fixtures/foreign/', import.meta.url)
const POINT = /\[\[(\w+)\]\]/

function pointsOf(file: string) {
  const page = parsePage(readFileSync(new URL(file, folder), 'utf8'))
  const named = page
    .$('body *')
    .toArray()
    .filter((node): node is Element => isElement(node))
    .flatMap((element) => {
      const said = element.children.flatMap((child) =>
        child.type === 'text' ? (POINT.exec(child.data) ?? []).slice(1) : [],
      )
      return said.map((region) => ({ element, region }))
    })
  return named.map(({ element, region }) => ({
    name: `${file} ${region}`,
    region,
    found: placeOf(page, element).region,
  }))
}

it('pages that nobody here wrote are told as a person would, but for a box in a text that is called a sidebar', () => {
  const points = readdirSync(folder)
    .filter((file) => file.endsWith('.html'))
    .flatMap(pointsOf)
  expect(points.length).toBeGreaterThan(150)
  expect(points.filter(({ region, found }) => region !== found).map(({ name, found }) => `${name}: ${found}`)).toEqual([
    'handbook.html main: sidebar',
    'handbook.html main: sidebar',
  ])
})
