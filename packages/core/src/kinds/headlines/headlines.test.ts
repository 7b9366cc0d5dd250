import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { articleItem } from '../../items'
import { briefOf, briefText, settingsOf } from '../brief'
import { difference } from '../difference'
import { fitVerdict, rowsHint } from '../fit-words'
import { drawnHeight, renderWidget } from '../render-widget'
import { headlines } from './index'
import { HeadlinesSettings } from './settings'
import { excerptOf } from '../excerpt'
import { headlinesOf } from './view'

const source = '11111111-1111-4111-8111-111111111111'
const defaults = HeadlinesSettings.parse({})
const names = { sourceNames: { [source]: 'Skerrow Post: Harbour' } }
const context = {
  facts: {},
  widgetName: 'Harbour news',
  sources: { [source]: { title: 'Skerrow Post: Harbour', link: null } },
}
const now = new Date('2026-11-24T12:00:00Z')
const item = (n: number, more: Parameters<typeof articleItem>[1] = {}) =>
  articleItem(`${source}:i${n}`, {
    title: `Headline ${n}`,
    text: 'The quick brown gull jumps over the lazy harbour dog.',
    author: 'Isla Marrow',
    publishedAt: `2026-11-${String(24 - n).padStart(2, '0')}T09:30:00.000Z`,
    link: `https://post.example/${n}`,
    picture: { url: `https://post.example/${n}.jpg`, width: 640, height: 360, alt: 'A pier' },
    ...more,
  })
const items = Array.from({ length: 8 }, (_, i) => item(i))
const run = (settings: Partial<HeadlinesSettings>, from = items) => {
  const whole = HeadlinesSettings.parse({ sources: [source], ...settings })
  const { sieved, view, rendered } = renderWidget(headlines, whole, from, context, now)
  return { sieved: sieved!, view, rendered, shown: headlinesOf(view) }
}

describe('settings', () => {
  it('have a default for everything', () =>
    expect(defaults).toMatchObject({
      count: 5,
      sources: [],
      layout: 'list',
      target: 'same',
      title: 'source',
      locale: 'page',
    }))

  it.each([
    [{ count: 0 }, 'count', 'must be 1 or more'],
    [{ count: 21 }, 'count', 'must be 20 or less'],
    [{ count: 2.5 }, 'count', 'must be a whole number from 1 to 20'],
    [{ count: '5' }, 'count', 'must be a whole number from 1 to 20'],
    [{ layout: 'spiral' }, 'layout', 'must be one of list, grid, large-first, carousel'],
    [{ accent: 'red' }, 'accent', 'must be a colour like #17665A'],
    [{ accent: '#12345' }, 'accent', 'must be a colour like #17665A'],
    [{ titleText: 'x'.repeat(81) }, 'titleText', 'must have 80 letters or fewer'],
    [{ sources: ['nope'] }, 'sources.0', 'must be the id of a source'],
    [{ include: Array.from({ length: 21 }, (_, i) => `w${i}`) }, 'include', 'takes 20 keywords at most'],
  ])('%j is refused with the field and the remedy', (wrong, field, message) => {
    const result = HeadlinesSettings.safeParse(wrong)
    expect(result.error?.issues.map((i) => [i.path.join('.'), i.message])).toEqual([[field, message]])
  })

  it('refuses what it does not know, so that a slip is not lost silently', () =>
    expect(HeadlinesSettings.safeParse({ colums: 3 }).success).toBe(false))
  it('can be read as JSON Schema', () =>
    expect(z.toJSONSchema(HeadlinesSettings, { io: 'input' })).toMatchObject({
      type: 'object',
      properties: { count: { minimum: 1, maximum: 20, default: 5 } },
    }))
  it('says every setting in the brief', () =>
    expect(settingsOf(headlines).map((s) => s.key)).toEqual(Object.keys(HeadlinesSettings.shape)))
  it.each(headlines.starters.map((s) => [s.id, s.settings]))('starter %s is valid', (_id, settings) =>
    expect(HeadlinesSettings.safeParse(settings).success).toBe(true),
  )
})

describe('brief', () => {
  it('reads as plain sentences', () => {
    const settings = HeadlinesSettings.parse({
      count: 6,
      sources: [source],
      include: ['ferry', 'pier'],
      layout: 'grid',
      title: 'own',
      titleText: 'From the harbour',
      target: 'new',
    })
    expect(briefText(briefOf(headlines, settings, names))).toBe(
      [
        'Up to 6 headlines from Skerrow Post: Harbour, with or without a picture, mentioning ferry or pier (the first 6 that do), leaving out nothing, newest first.',
        'In a grid of 3 columns, as many as fit on a tablet and as many as fit on a phone, all rows, 16 px apart, set at the start; picture at the left, excerpt of 100 letters; author off, date shown.',
        "In the site's own font, in colours of its own: text the site's own, on no background, accent the site's own, links under the pointer the accent, buttons the site's own; border 0 px, corners 4 px, no shadow, padded where it has an edge; headings as usual, text as usual, small print as usual; own CSS: none.",
        'It opens the original in a new tab.',
        'Headed by own words, “From the harbour”, with no description; in the language of the page, dates like 3 Nov 2026.',
      ].join('\n'),
    )
  })
  it('leaves out what has no meaning: columns of a list, a date style without dates', () => {
    const text = briefText(briefOf(headlines, HeadlinesSettings.parse({ date: false }), names))
    expect(text).toContain('In a list, 16 px apart')
    expect(text).not.toContain('dates like')
  })
  it('names a source that is not there', () => {
    expect(briefText(briefOf(headlines, defaults, names))).toContain('from no source yet')
    expect(briefText(briefOf(headlines, { ...defaults, sources: [source] }, { sourceNames: {} }))).toContain(
      'from a source that is gone',
    )
  })
})

describe('difference', () => {
  it('names what changed, in the words of the brief and its order', () => {
    expect(difference(headlines, defaults, { ...defaults, target: 'new', count: 6 }, names)).toEqual([
      { key: 'count', label: 'How many', before: '5', after: '6' },
      { key: 'target', label: 'Where a click opens', before: 'the same tab', after: 'a new tab' },
    ])
  })
  it('is nothing between equal settings', () =>
    expect(difference(headlines, defaults, HeadlinesSettings.parse({}), names)).toEqual([]))
})

describe('what is said', () => {
  it('is as many as asked for, newest first, under the title of the source', () => {
    const { shown } = run({ count: 3 })
    expect(shown.heading).toBe('Skerrow Post: Harbour')
    expect(shown.items.map((i) => i.title)).toEqual(['Headline 0', 'Headline 1', 'Headline 2'])
  })
  it('sieves by keyword and picture before it counts', () => {
    const mixed = [item(0, { picture: null }), item(1, { title: 'About seals' }), item(2)]
    const { shown, sieved } = run({ onlyWithPicture: true, exclude: ['seals'], count: 5 }, mixed)
    expect(shown.items.map((i) => i.title)).toEqual(['Headline 2'])
    expect(sieved.steps.map((s) => s.after)).toEqual([3, 2, 1, 1])
  })
  it.each([
    ['medium', 'en-GB', '24 Nov 2026'],
    ['long', 'en-GB', '24 November 2026'],
    ['weekday', 'en-GB', 'Tue 24 Nov'],
    ['numeric', 'en-US', '11/24/2026'],
    ['long', 'de-DE', '24. November 2026'],
    ['numeric', 'nl-NL', '24-11-2026'],
  ] as const)('writes dates %s in %s', (dateStyle, locale, wanted) =>
    expect(run({ dateStyle, locale, count: 1 }).shown.items[0]!.date.replace(',', '')).toBe(wanted),
  )
  it('shows author, date, picture and excerpt only where asked', () => {
    const [shown] = run({ author: true, excerpt: 20 }).shown.items
    expect(shown).toMatchObject({ author: 'Isla Marrow', excerpt: 'The quick brown gull…', date: '24 Nov 2026' })
    const [bare] = run({ author: false, date: false, picture: 'none', excerpt: 0 }).shown.items
    expect(bare).toMatchObject({ author: '', date: '', picture: null, excerpt: '' })
  })
  it('takes the own heading, or none', () => {
    expect(run({ title: 'own', titleText: 'News' }).shown.heading).toBe('News')
    expect(run({ title: 'none' }).shown.heading).toBe('')
  })
  it('is the same for the same input', () => expect(run({}).rendered).toEqual(run({}).rendered))

  it('cuts an excerpt at a word, never longer than asked', () => {
    expect(excerptOf('one two three', 9)).toBe('one two…')
    expect(excerptOf('one two three', 13)).toBe('one two three')
    expect(excerptOf('abcdefghijkl', 5)).toBe('abcde…')
    expect(excerptOf('anything', 0)).toBe('')
    fc.assert(
      fc.property(
        fc.string(),
        fc.integer({ min: 1, max: 60 }),
        (text, most) => excerptOf(text, most).length <= most + 1,
      ),
    )
  })
})

describe('fit in words', () => {
  const grid = HeadlinesSettings.parse({ layout: 'grid', columns: 3, picture: 'top' })
  it('fits', () =>
    expect(fitVerdict(headlines.box!, grid, 720)).toMatchObject({
      head: 'Fits.',
      says: '3 columns of 229 px in 720 px; a headline wants at least 150 px.',
    }))
  it('shows fewer', () =>
    expect(fitVerdict(headlines.box!, grid, 300).says).toBe(
      '3 columns would be 89 px each and a headline wants at least 150 px, so 1 column of 300 px is shown. 3 columns fit from 482 px up.',
    ))
  it('is too narrow, and only what would help is advised', () => {
    expect(fitVerdict(headlines.box!, { ...grid, picture: 'left' }, 200)).toMatchObject({
      head: 'Too narrow.',
      says: expect.stringContaining('Take a placement of 246 px or more, or put the picture on top.'),
    })
    expect(fitVerdict(headlines.box!, { ...grid, picture: 'top' }, 120).says).toMatch(/150 px or more\.$/)
  })
  it('hints at whole rows', () => {
    const hint = (count: number, columns: number, more: Partial<HeadlinesSettings> = {}) =>
      rowsHint(headlines.box!, { ...defaults, layout: 'grid', columns, ...more }, count, 20)
    expect(hint(6, 3)).toBe('6 items fill whole rows with 3 and 2 columns.')
    expect(hint(5, 3)).toBe('The last row has gaps: 6 would fill it with 3 and 2 columns.')
    expect(hint(5, 3, { columnsTablet: '3', columnsPhone: '1' })).toBe(
      'The last row has gaps: 3 or 6 would fill it with 3 columns.',
    )
    expect(hint(13, 6)).toBe(
      'No number up to 20 fills the last row with 6, 5, 4, 3 and 2 columns. 12 or 18 would at least fill it with 6.',
    )
    expect(hint(5, 1)).toBeNull()
  })
})

describe('reserved height', () => {
  const height = (settings: Partial<HeadlinesSettings>, width: number) =>
    drawnHeight(headlines, run(settings).view, width)
  it('grows with items, excerpts and a narrower place', () => {
    expect(height({ count: 6 }, 300)).toBeGreaterThan(height({ count: 3 }, 300))
    expect(height({ excerpt: 400 }, 300)).toBeGreaterThan(height({ excerpt: 0 }, 300))
    expect(height({}, 260)).toBeGreaterThanOrEqual(height({}, 720))
  })
  it('counts rows of a grid, not items', () =>
    expect(height({ layout: 'grid', columns: 3, count: 6, picture: 'none' }, 900)).toBeLessThan(
      height({ layout: 'list', count: 6, picture: 'none' }, 900),
    ))
  it('is small for nothing', () => expect(drawnHeight(headlines, run({ title: 'none' }, []).view, 300)).toBe(0))
})

describe('several sources', () => {
  const other = '22222222-2222-4222-8222-222222222222'
  const mixed = [...items, articleItem(`${other}:a`, { title: 'Quiet', publishedAt: '2026-11-01T09:00:00.000Z' })]
  it('a loud one does not crowd out the rest', () => {
    const { shown } = run({ sources: [source, other], count: 3, mosts: [{ id: source, most: 2 }] }, mixed)
    expect(shown.items.map(({ title }) => title)).toEqual(['Headline 0', 'Headline 1', 'Quiet'])
  })
  it('each headline names its own, where that is wanted', () => {
    expect(run({ from: true }).rendered.html).toContain('Skerrow Post: Harbour ·')
    expect(run({}).rendered.html).not.toContain('Skerrow Post: Harbour ·')
  })
  it('the brief says how many of which, and nothing of one source alone', () => {
    const said = (settings: object) =>
      briefText(
        briefOf(headlines, HeadlinesSettings.parse(settings), {
          sourceNames: { [source]: 'Post', [other]: 'Almanac' },
        }),
      )
    expect(said({ sources: [source, other], mosts: [{ id: other, most: 3 }] })).toContain('at most 3 from Almanac')
    expect(said({ sources: [source, other] })).toContain('as many from each as there are')
    expect(said({ sources: [source] })).not.toContain('from each')
  })
})
