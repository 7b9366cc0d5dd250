import fc from 'fast-check'
import { parseFragment, type DefaultTreeAdapterMap } from 'parse5'
import { describe, expect, it } from 'vitest'
import { escapeAttribute, escapeComment, escapeScriptJson, escapeSegment, escapeText } from './escape'

type Node = DefaultTreeAdapterMap['childNode']
type Element = DefaultTreeAdapterMap['element']
const nodes = (html: string): Node[] => parseFragment(html).childNodes
const clean = (value: string) => value.toWellFormed().replace(/\0/g, '')

/** Strings with what breaks out of each context mixed in. */
const nasty = fc
  .array(
    fc.oneof(
      fc.string({ unit: 'grapheme' }),
      fc.string({ unit: 'binary' }),
      fc.constantFrom(
        '<',
        '>',
        '"',
        "'",
        '&',
        '&amp;',
        '-->',
        '--!>',
        '<!--',
        '</script>',
        '\n',
        '\r',
        '\t',
        '\0',
        '\u2028',
        '`',
        ']]>',
        '\ud800',
      ),
    ),
    { maxLength: 8 },
  )
  .map((parts) => parts.join(''))

// The HTML standard's parser reads back exactly what was written, for any input.
describe('escaping, read back by parse5', () => {
  it('text', () => {
    fc.assert(
      fc.property(nasty, (value) => {
        const [p, ...rest] = nodes(`<p>x${escapeText(value)}x</p>`)
        expect(rest).toEqual([])
        const text = (p as Element).childNodes.map((n) => ('value' in n ? n.value : '<element>')).join('')
        expect(text).toBe(`x${clean(value).replace(/\r\n?/g, '\n')}x`) // the parser's own newline rule
      }),
    )
  })
  it('attribute, line breaks and all', () => {
    fc.assert(
      fc.property(nasty, (value) => {
        const [p, ...rest] = nodes(`<p title="${escapeAttribute(value)}">x</p>`)
        expect(rest).toEqual([])
        expect((p as Element).attrs).toEqual([{ name: 'title', value: clean(value) }])
      }),
    )
  })
  it('comment: one comment, nothing after it', () => {
    fc.assert(
      fc.property(nasty, (value) => {
        const found = nodes(`<!-- ${escapeComment(value)} -->after`)
        expect(found.map((n) => n.nodeName)).toEqual(['#comment', '#text'])
        expect((found[1] as { value: string }).value).toBe('after')
      }),
    )
  })
  it('JSON in a script', () => {
    fc.assert(
      fc.property(fc.jsonValue(), nasty, (value, extra) => {
        const [script, ...rest] = nodes(
          `<script type="application/json">${escapeScriptJson({ value, extra })}</script>`,
        )
        expect(rest).toEqual([])
        const text = ((script as Element).childNodes[0] as { value: string }).value
        expect(JSON.parse(text)).toEqual(JSON.parse(JSON.stringify({ value, extra })))
      }),
    )
  })
  it('a segment of a path', () => {
    fc.assert(
      fc.property(nasty, (value) => {
        const url = new URL(`https://a.example/f/x${escapeSegment(value)}`)
        expect(url.pathname.split('/')).toHaveLength(3)
        expect(decodeURIComponent(url.pathname.split('/')[2]!)).toBe(`x${value.toWellFormed()}`)
      }),
    )
  })
})
