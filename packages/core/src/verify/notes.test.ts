import { describe, expect, it } from 'vitest'
import type { Look } from './look'
import { Plan } from './plan'
import type { LookId } from './words'
import { verify } from './verify'

const origin = 'https://strand.example'
const plan = (more: object = {}) =>
  Plan.parse({ install: 'abcd-efgh', origin, placement: { region: 'sidebar', width: 300 }, status: 'pasted', ...more })
const look = (html: string, how: LookId = 'served'): Look => ({
  how,
  url: 'https://ferries.example/',
  finalUrl: 'https://ferries.example/',
  status: 200,
  headers: {},
  html,
  at: '2026-11-25T10:00:00.000Z',
  ms: 1,
  error: null,
})
const element = (id: string) => `<div data-pebblestrand="${id}"><a href="${origin}/w/${id}">Widget</a></div>`
const script = `<script src="${origin}/strand.js" async></script>`
const page = (aside: string, main = '') =>
  `<header><nav><a href="/">Home</a></nav></header><main><h1>Hello</h1><p>${'Words of the page. '.repeat(20)}</p>${main}</main><aside>${aside}</aside>`
const codes = (html: string, ...more: Look[]) => {
  const { findings, notes, status } = verify(plan(), [look(html), ...more])
  return { findings: findings.map(({ code }) => code), notes: notes.map(({ code }) => code), status }
}

describe('a widget without a script of its own', () => {
  const whole = `${element('abcd-efgh')}\n${script}`
  const other = `${element('other-one')}\n${script}`
  it('that another’s script runs is well, and said', () =>
    expect(codes(page(element('abcd-efgh'), other))).toEqual({
      findings: [],
      notes: ['borrowed-script'],
      status: 'confirmed',
    }))
  it('is not said of it where each brings its own', () => expect(codes(page(whole, other)).notes).toEqual([]))
  it('is not said of the one that lends it', () => expect(codes(page(whole, element('other-one'))).notes).toEqual([]))
  it('is not said where one script stands for all, away from every widget', () =>
    expect(codes(`<head>${script}</head>${page(element('abcd-efgh'), element('other-one'))}`).notes).toEqual([]))
  it('alone on its page, it is a fault as before', () =>
    expect(codes(page(element('abcd-efgh'))).findings).toEqual(['script-stripped']))
})

describe('an editor’s preview', () => {
  const there = page(`${element('abcd-efgh')}${script}`)
  const empty = page('')
  it('that has it, where visitors get nothing, says who sees it', () =>
    expect(codes(empty, look(empty, 'fresh'), look(there, 'preview'))).toMatchObject({
      findings: ['signed-in-only'],
      status: 'needs-a-hand',
    }))
  it('says nothing where visitors see it', () =>
    expect(codes(there, look(there, 'fresh'), look(there, 'preview'))).toMatchObject({
      findings: [],
      status: 'confirmed',
    }))
  it('that has nothing either leaves it absent', () =>
    expect(codes(empty, look(empty, 'fresh'), look(empty, 'preview')).findings).toEqual(['absent']))
  it('that asks to sign in says nothing', () =>
    expect(
      codes(empty, look(empty, 'fresh'), { ...look('<form><input type=password></form>', 'preview'), status: 401 })
        .findings,
    ).toEqual(['absent']))
  it('never makes what is only there confirmed, nor what is gone still there', () => {
    expect(verify(plan({ status: 'planned' }), [look(empty), look(there, 'preview')]).status).toBe('planned')
    expect(verify(plan({ retiring: true }), [look(empty), look(there, 'preview')]).status).toBe('retired')
  })
})

describe('a finding that is put away', () => {
  const double = page(`${element('abcd-efgh')}${script}${element('abcd-efgh')}${script}`)
  it('is still said, and needs no hand', () => {
    const { findings, status } = verify(plan({ muted: ['double'] }), [look(double)])
    expect(findings.map(({ code }) => code)).toEqual(['double'])
    expect(status).toBe('confirmed')
  })
  it('stands behind those that are not', () => {
    const text = double.replace('<h1>', `<pre>&lt;div data-pebblestrand="abcd-efgh"&gt;</pre><h1>`)
    const { findings, status } = verify(plan({ muted: ['double'] }), [look(text)])
    expect(findings.map(({ code }) => code)).toEqual(['shown-as-text', 'double'])
    expect(status).toBe('needs-a-hand')
  })
  it('never makes confirmed what visitors do not see', () => {
    for (const [html, code] of [
      [page(''), 'absent'],
      [page(element('abcd-efgh')), 'script-stripped'],
      [page(`<div hidden>${element('abcd-efgh')}${script}</div>`), 'hidden'],
    ] as const) {
      const { findings, status } = verify(plan({ muted: [code] }), [look(html)])
      expect([findings.map((one) => one.code), status]).toEqual([[code], 'pasted'])
    }
  })
  it('never proves that something is gone', () => {
    const muted = ['still-there', 'double', 'absent']
    expect(verify(plan({ retiring: true, muted }), [look(double)]).status).toBe('needs-a-hand')
  })
})
