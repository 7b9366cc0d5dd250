import { load } from 'cheerio'
import { describe, expect, it } from 'vitest'
import type { z } from 'zod'
import type { Item } from '../items'
import type { Settings } from './kind'
import { kindList } from './list'
import { drawn } from './render-widget'
import { usualAround } from './spoken'

// Addresses that run something or lead where nobody means to, in the spellings in which a browser still takes them for what they are: it
// drops tabs and line breaks anywhere, spaces and control characters around, and reads schemes in any case (WHATWG URL, basic URL parser;
// vectors as in OWASP's XSS filter evasion cheat sheet).
const RUNS = 'javascript:alert(1)'
const vectors = [
  RUNS,
  'JaVaScRiPt:alert(1)',
  'java\tscript:alert(1)',
  'java\nscript:alert(1)',
  'java\r\nscript:alert(1)',
  '\u0001javascript:alert(1)',
  ' \u00a0 javascript:alert(1)',
  '\t\njavascript:alert(1)',
  'javascript&colon;alert(1)',
  'javascript&#58;alert(1)',
  'data:text/html,<script>alert(1)</script>',
  'data:text/html;base64,PHNjcmlwdD4=',
  'vbscript:msgbox(1)',
  'view-source:javascript:alert(1)',
  'blob:https://client.example/1',
  'filesystem:https://client.example/1',
  'file:///etc/passwd',
  'about:blank',
  'https:javascript:alert(1)',
  'https://ok.example/\njavascript:alert(1)',
  '"><script>alert(1)</script>',
  'https://ok.example/" onclick="alert(1)',
]

/** Every string within, of whatever is made of arrays and objects, in place of itself. */
function withEvery(value: unknown, put: (text: string, key: string) => unknown, key = ''): unknown {
  if (typeof value === 'string') return put(value, key)
  if (Array.isArray(value)) return value.map((one) => withEvery(one, put, key))
  if (!value || typeof value !== 'object') return value
  return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, withEvery(one, put, name)]))
}

/** The settings with a text wherever the schema takes it. */
function filled({ settings: schema }: (typeof kindList)[string], settings: Settings, text: string): Settings {
  const whole = schema.parse(settings) as Settings
  const shape = (schema as unknown as z.ZodObject).shape as Record<string, z.ZodType>
  for (const [key, of] of Object.entries(shape)) {
    const tries = [withEvery(whole[key], () => text), text, withEvery(whole[key], (old) => old || text)]
    const taken = tries.find((next) => of.safeParse(next).success)
    if (taken !== undefined && schema.safeParse({ ...whole, [key]: taken }).success) whole[key] = taken
  }
  return schema.parse(whole) as Settings
}

/** What says what a thing is, not what it holds. */
const KEEPS = new Set(['id', 'type', 'source', 'role', 'language'])
const isDate = (text: string) => /^\d{4}-\d\d-\d\d/.test(text)
const hostile = (items: Item[], text: string) =>
  withEvery(items, (old, key) => (KEEPS.has(key) || isDate(old) ? old : text)) as Item[]

const ADDRESSES = ['href', 'src', 'action', 'formaction', 'poster', 'data', 'cite', 'background', 'ping', 'srcset']
const ALLOWED = ['https:', 'http:', 'mailto:', 'tel:']
const protocolOf = (address: string) => {
  const base = 'https://client.example/page'
  return URL.canParse(address, base) ? new URL(address, base).protocol : 'https:'
}

/** What of a piece of HTML runs something or leads elsewhere than to a web address. */
function faultsIn(html: string): string[] {
  const $ = load(html, null, false)
  const faults = $('script, [srcdoc]')
    .toArray()
    .map((one) => $.html(one))
  $('*').each((_, element) => {
    for (const [name, value] of Object.entries((element as { attribs?: Record<string, string> }).attribs ?? {})) {
      if (/^on/i.test(name)) faults.push(`${name}=${value}`)
      const isOurFile = name === 'href' && 'download' in (element as { attribs: object }).attribs
      const allowed = isOurFile && value.startsWith('data:text/calendar') ? [...ALLOWED, 'data:'] : ALLOWED
      if (ADDRESSES.includes(name) && !allowed.includes(protocolOf(value))) faults.push(`${name}=${value}`)
    }
  })
  return faults
}

/** Members of what behaviours work with that they put into an address. */
const LEADS = new Set(['src', 'link', 'page', 'href', 'to', 'address', 'player'])
function faultsInData(data: unknown): string[] {
  const faults: string[] = []
  withEvery(data, (text, key) => {
    if (LEADS.has(key) && !ALLOWED.includes(protocolOf(text))) faults.push(`${key}: ${text}`)
    return text
  })
  return faults
}

describe.each(Object.values(kindList).map((kind) => [kind.id, kind] as const))('%s', (_id, kind) => {
  it.each(kind.starters.map((starter) => [starter.name, starter] as const))(
    '%s runs nothing that stands where an address is asked for',
    (_name, starter) => {
      const { items, facts } = kind.sample('https://strand.example')
      for (const text of vectors) {
        const settings = filled(kind, starter.settings as Settings, text)
        const { html, css, data, more } = drawn(kind, {
          settings,
          items: hostile(items.slice(0, 6), text),
          context: {
            widgetName: text,
            sources: Object.fromEntries(
              (kind.content?.sourceIds(settings) ?? []).map((id) => [id, { title: text, link: text }]),
            ),
            facts,
            around: { ...usualAround, credit: { words: text, link: text, look: 'plain' } },
          },
        })
        const parts = [html, ...(more ?? []).map((part) => part.html)]
        expect([text, ...parts.flatMap(faultsIn)]).toEqual([text])
        expect([text, ...[data, more?.map((part) => part.data)].flatMap(faultsInData)]).toEqual([text])
        expect(css.replace(/\\[^\n]/g, '')).not.toMatch(/url\(\s*["']?\s*(?:javascript|data:text|vbscript)/i)
      }
    },
  )
})

it('finds what it looks for', () => {
  expect(faultsIn(`<a href="java\tscript:alert(1)" onclick="x">a</a><script></script>`)).toHaveLength(3)
  expect(faultsIn('<a href="/a">a</a><a href="mailto:a@b.example">a</a>')).toEqual([])
  expect(faultsInData({ items: [{ link: ' javascript:alert(1)' }, { link: '/a' }] })).toHaveLength(1)
})
