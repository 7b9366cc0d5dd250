import { load } from 'cheerio'
import { describe, expect, it } from 'vitest'
import { settingsOf } from './brief'
import { resultsHtml } from './groups'
import type { Settings } from './kind'
import { kindList } from './list'
import { partNames, partsOf, type PartName } from './parts'
import { drawn } from './render-widget'

/** Settings with every value of every choice and switch, one after another. */
function* variations(kind: (typeof kindList)[string]): Generator<Settings> {
  yield {}
  for (const starter of kind.starters) yield starter.settings
  for (const { key, meta } of settingsOf(kind)) {
    if (meta.control.type === 'choice') for (const { value } of meta.control.options) yield { [key]: value }
    if (meta.control.type === 'switch') for (const value of [true, false]) yield { [key]: value }
  }
  yield { title: 'own', titleText: 'A heading', description: 'Words below it', more: '6' }
  yield { title: 'A heading', writeLink: 'https://voices.example/write', from: true, label: 'Guests say' }
  yield {
    header: 'centred',
    layout: 'carousel',
    click: 'panel',
    hover: 'both',
    captionLines: 2,
    caption: 'below',
    counts: true,
  }
  yield {
    picture: 'https://kiln.example/kiln.jpg',
    small: 'While there are some',
    body: [{ is: 'paragraph', runs: [{ text: 'Read on', link: 'https://kiln.example' }] }],
  }
  yield { special: [{ from: '2026-12-24', until: '', name: 'Christmas', spans: [] }], sources: [] }
  yield { fields: { steps: [{ title: 'Who?', fields: [{ is: 'email', name: 'email', label: 'E-mail address' }] }] } }
}

const source = '7f1f6c0a-3d55-4a0e-9d59-0f6e5f6f7a11'
const profile = { handle: 'kiln', bio: 'Pots', counts: { posts: 3, followers: 4, following: 5 } }
const hours = { week: Array.from({ length: 7 }, () => []), special: [] }
const picture = { url: 'https://kiln.example/face.jpg', width: 80, height: 80, alt: '' }

describe.each(Object.values(kindList).map((kind) => [kind.id, kind] as const))('parts of %s', (_id, kind) => {
  const { items, facts } = kind.sample('https://strand.example')
  const context = {
    widgetName: 'W',
    sources: { [source]: { title: 'Kiln', link: 'https://kiln.example', rating: null, profile, picture, hours } },
    facts,
    around: {
      language: 'en',
      timeZone: 'UTC',
      credit: { words: 'Kept by us', link: 'https://us.example', look: 'plain' as const },
    },
  }
  const whole = { title: 'A title', player: 'https://films.example/player/1', pictures: [picture, picture] }
  const sourced = items.map((item) => ({
    ...item,
    id: `${source}:${item.id}`,
    body: {
      ...whole,
      ...item.body,
      ...(item.body.type === 'review' ? { title: 'Well', pictures: [picture] } : {}),
      ...(item.body.type === 'post' ? { pictures: [picture, picture] } : {}),
      ...(item.body.type === 'video' ? { player: whole.player } : {}),
    },
  })) as typeof items
  const phrases = [{ text: 'friendly crew', count: 3, examples: [] }]
  const seen = new Set<string>()
  for (const more of variations(kind)) {
    const known = Object.fromEntries(Object.entries(more).filter(([key]) => key in kind.settings.shape))
    const read = kind.settings.safeParse({ ...known, ...(kind.content ? { sources: [source] } : {}) })
    if (!read.success) continue
    const rendered = drawn(kind, { settings: read.data, items: sourced, phrases, context })
    const answered = kind.form
      ? resultsHtml([{ field: 'f', label: 'F', bars: [{ words: 'A', count: 1, share: 1 }] }], 'en-GB')
      : ''
    for (const html of [rendered.html, answered, ...(rendered.more ?? []).map((part) => part.html)]) {
      const $ = load(html, null, false)
      for (const element of $('[part]').toArray())
        for (const name of $(element).attr('part')!.split(' ')) seen.add(name)
    }
  }
  it('are all told', () => expect([...seen].filter((name) => !(name in partsOf(kind)))).toEqual([]))
  it('are all there', () =>
    expect(
      Object.keys(partsOf(kind)).filter((name) => !seen.has(name) && !(kind.presence && name === 'credit')),
    ).toEqual([]))
  it('are names that mean something everywhere', () => {
    for (const name of kind.parts) expect(partNames[name as PartName]).toBeTruthy()
  })
})
