import fc from 'fast-check'
import { DateTime } from 'luxon'
import { parse } from 'parse5'
import { describe, expect, it } from 'vitest'
import { findingCodes } from '../verify/words'
import { labels, spokenLanguage } from '../words'
import {
  afterWorkingDays,
  fewestSteps,
  isFinished,
  isReminderDue,
  isWorkingDay,
  letter,
  outcomeOf,
  ownWording,
  mailKindIds,
  planDrawing,
  sheetFile,
  sheetPage,
  sheetWords,
  wordingFaults,
  type Sheet,
} from '.'

const blanksIn = (text: string) => [...new Set([...text.matchAll(/\{\w+\}/g)].map(([one]) => one))].sort().join(' ')

describe('words of a sheet', () => {
  it('are there in every language that widgets speak, with the same blanks', () => {
    expect(Object.keys(sheetWords).sort()).toEqual(Object.keys(labels).sort())
    const { en } = sheetWords
    for (const [language, words] of Object.entries(sheetWords)) {
      expect(Object.keys(words), language).toEqual(Object.keys(en))
      for (const [id, text] of Object.entries(words)) {
        expect(text.trim(), `${language} ${id}`).not.toBe('')
        expect(blanksIn(text), `${language} ${id}`).toBe(blanksIn(en[id as keyof typeof en]))
      }
    }
  })
  it('of mails have no fault in any language', () => {
    for (const words of Object.values(sheetWords))
      for (const kind of mailKindIds) expect(wordingFaults(ownWording(words, kind))).toEqual([])
  })
})

describe('what a check says to whoever pastes', () => {
  it('is something for every finding', () => {
    for (const code of findingCodes) {
      const { says, does } = outcomeOf('paste', 'needs-a-hand', code)
      expect(sheetWords.en[says]).toBeTruthy()
      expect(does === null).toBe(isFinished({ says, does }))
    }
  })
  it('is never that nothing is left to take out before it was proved gone', () => {
    for (const status of ['planned', 'pasted', 'confirmed', 'needs-a-hand'] as const)
      for (const code of [null, ...findingCodes]) expect(isFinished(outcomeOf('remove', status, code))).toBe(false)
  })
  it('is that nothing is left where it is confirmed, or gone', () => {
    expect(outcomeOf('paste', 'confirmed', null).says).toBe('seen')
    expect(outcomeOf('remove', 'retired', null).says).toBe('gone')
    expect(outcomeOf('paste', 'pasted', null)).toEqual({ says: 'absent', does: 'absentDo' })
  })
})

describe('working days', () => {
  // Reference: luxon, in zones with and without daylight saving, through changes of the clocks (IANA).
  const zones = ['Atlantic/Faroe', 'Europe/Warsaw', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kathmandu', 'UTC']
  it('are those of the calendar', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1_700_000_000, max: 1_900_000_000 }),
        fc.constantFrom(...zones),
        (seconds, zone) => {
          const there = DateTime.fromSeconds(seconds, { zone })
          expect(isWorkingDay(there.toISODate()!)).toBe(there.weekday <= 5)
        },
      ),
    ))
  it('are counted as luxon counts them', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4000 }), fc.integer({ min: 1, max: 20 }), (from, count) => {
        let at = DateTime.fromISO('2024-01-01', { zone: 'UTC' }).plus({ days: from })
        const start = at.toISODate()!
        for (let left = count; left > 0;) {
          at = at.plus({ days: 1 })
          if (at.weekday <= 5) left--
        }
        expect(afterWorkingDays(start, count)).toBe(at.toISODate())
      }),
    ))
  it('a reminder is due in office hours of a working day only', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 900 }), fc.constantFrom(...zones), (hours, zone) => {
        const sent = new Date('2026-03-20T10:00:00Z')
        const now = new Date(sent.getTime() + hours * 3_600_000)
        const there = DateTime.fromJSDate(now, { zone })
        if (!isReminderDue(sent, now, zone, 3)) return
        expect(there.weekday).toBeLessThanOrEqual(5)
        expect(there.hour).toBeGreaterThanOrEqual(9)
        expect(there.hour).toBeLessThan(17)
      }),
    ))
})

const sheet = (more: Partial<Sheet> = {}): Sheet => ({
  purpose: 'paste',
  language: spokenLanguage('en'),
  agency: 'Tern & Tiller',
  site: 'Tarnside Vets',
  name: 'Isla',
  message: '',
  items: [
    {
      id: 'abcde-fghij',
      widget: 'Harbour news',
      page: 'Home',
      url: 'https://vets.example/',
      region: 'sidebar',
      plan: [
        { region: 'main', width: 700, name: 'main', isChosen: false },
        { region: 'sidebar', width: 300, name: 'sidebar', isChosen: true },
      ],
      snippet: '<div data-x="&amp;"></div><script async src="https://strand.example/strand.js"></script>',
      steps: [
        {
          id: 'paste',
          parts: [
            { text: 'Paste into ', strong: false },
            { text: 'the *code* box', strong: true },
          ],
          done: false,
        },
      ],
      note: '',
      state: 'waiting',
      seen: null,
      preview: null,
    },
  ],
  address: 'https://strand.example/paste/x',
  qr: '<svg></svg>',
  ends: '27 December 2026',
  ...more,
})

/** Text of all elements of one name, as the standard's parser reads them. */
function textsOf(html: string, name: string): string[] {
  const found: string[] = []
  const text = (node: unknown): string => {
    const { value, childNodes = [] } = node as { value?: string; childNodes?: unknown[] }
    return value ?? childNodes.map(text).join('')
  }
  const walk = (node: unknown) => {
    const { nodeName, childNodes = [] } = node as { nodeName: string; childNodes?: unknown[] }
    if (nodeName === name) found.push(text(node))
    childNodes.forEach(walk)
  }
  walk(parse(html))
  return found
}

describe('a sheet', () => {
  it('gives the text exactly, whatever is in it (read back by the parser of the HTML standard)', () =>
    fc.assert(
      fc.property(
        fc.string({ unit: 'binary', minLength: 1 }).filter((s) => !/[\r\n\0\u{d800}-\u{dfff}]/u.test(s)),
        (snippet) => {
          const [item] = sheet().items
          const html = sheetPage(sheet({ items: [{ ...item!, snippet, widget: snippet, note: snippet }] }))
          expect(textsOf(html, 'code')).toEqual([snippet])
          expect(textsOf(html, 'h2')).toEqual([snippet])
          expect(textsOf(html, 'script')).toEqual([''])
        },
      ),
    ))
  it('as Markdown has the text in a block that nothing in it ends', () =>
    fc.assert(
      fc.property(fc.stringMatching(/^[`a<>\n ]{1,40}$/), (snippet) => {
        const [item] = sheet().items
        const text = sheetFile(sheet({ items: [{ ...item!, snippet }] }), 'md')
        const fence = /^(`{3,})html$/m.exec(text)![1]!
        const inside = text.slice(text.indexOf(`${fence}html\n`) + fence.length + 5)
        expect(inside.slice(0, snippet.length + 1 + fence.length)).toBe(`${snippet}\n${fence}`)
        expect(snippet.includes(fence)).toBe(false)
      }),
    ))
  it('as text has the steps in their order', () =>
    expect(sheetFile(sheet(), 'txt')).toContain('1. Paste into the *code* box'))
  it('goes from right to left where its language does', () =>
    expect(sheetPage(sheet({ language: spokenLanguage('ar') }))).toContain('<html lang="ar" dir="rtl">'))
  it('has things in the order of fewest steps', () => {
    const at = (page: string, position: number, box: string, placement: string) => ({ page, position, box, placement })
    const all = [
      at('B', 2, 'code', 'side'),
      at('A', 1, 'html', 'main'),
      at('A', 1, 'code', 'foot'),
      at('A', 1, 'html', 'head'),
    ]
    expect(fewestSteps(all).map(({ placement }) => placement)).toEqual(['foot', 'head', 'main', 'side'])
  })
})

describe('the drawing of a plan', () => {
  it('keeps widths in proportion and within its edge, and marks one', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            region: fc.constantFrom('header', 'main', 'sidebar', 'footer'),
            width: fc.integer({ min: 100, max: 1400 }),
            name: fc.string(),
            isChosen: fc.boolean(),
          }),
          { maxLength: 8 },
        ),
        (placements) => {
          const svg = planDrawing(placements as never, 'where')
          const boxes = [
            ...svg.matchAll(/<rect x="([\d.]+)" y="([\d.]+)" width="([\d.]+)" height="(\d+)" fill="(none|#17665a)"/g),
          ]
          expect(boxes).toHaveLength(placements.length)
          for (const [, x, , width] of boxes) expect(Number(x) + Number(width)).toBeLessThanOrEqual(320)
          expect(boxes.filter(([, , , , , fill]) => fill === '#17665a')).toHaveLength(
            placements.filter((one) => one.isChosen).length,
          )
        },
      ),
    ))
})

describe('a letter', () => {
  it('is escaped in HTML, and as it is in text', () => {
    const given = { name: 'A <b> & "c"', site: 's', link: 'https://x.example/?a=1&b="2"', sender: 'x', agency: 'y' }
    const { text, html, subject } = letter({ subject: 'Two\nlines {name}', body: '{name}\n\n{link}' }, given, [], {
      lang: 'en',
      direction: 'ltr',
    })
    expect(subject).toBe('Two lines A <b> & "c"')
    expect(text).toContain('A <b> & "c"')
    expect(textsOf(html, 'p')[0]).toBe('A <b> & "c"')
    expect(textsOf(html, 'b')).toEqual([])
  })
})
