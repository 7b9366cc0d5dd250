import { load } from 'cheerio'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { lengthOf, paragraph, plainText, RichText, richHtml, type Run } from '.'

const run = fc.record(
  {
    text: fc.string({ unit: 'grapheme', minLength: 1, maxLength: 30 }),
    bold: fc.constant(true as const),
    italic: fc.constant(true as const),
  },
  { requiredKeys: ['text'] },
)
const line = fc.array(run, { maxLength: 4 })
const text = fc.array(
  fc.oneof(
    fc.record({ is: fc.constant('paragraph' as const), runs: line }),
    fc.record({
      is: fc.constant('list' as const),
      ordered: fc.boolean(),
      entries: fc.array(line, { minLength: 1, maxLength: 4 }),
    }),
  ),
  { maxLength: 5 },
)

describe('text with a form', () => {
  // Reference: the HTML standard's parser (parse5, through cheerio) reads back what was written.
  it('is read back as it was written, whatever is in it', () =>
    fc.assert(
      fc.property(text, (blocks) => {
        // Line ends of other systems and the replaced character are the parser's own business (HTML standard, 13.2.3.5).
        const clean = (given: string) => given.replace(/\r|\0/g, ' ')
        const whole = blocks.map((block) =>
          block.is === 'paragraph'
            ? { ...block, runs: block.runs.map((one) => ({ ...one, text: clean(one.text) })) }
            : {
                ...block,
                entries: block.entries.map((runs) => runs.map((one) => ({ ...one, text: clean(one.text) }))),
              },
        )
        const $ = load(richHtml(whole as RichText), null, false)
        const said = (runs: readonly Run[]) => runs.map((one) => one.text.replaceAll('\n', '')).join('')
        expect(
          $('p')
            .toArray()
            .map((one) => $(one).text()),
        ).toEqual(whole.flatMap((block) => (block.is === 'paragraph' ? [said(block.runs)] : [])))
        expect(
          $('li')
            .toArray()
            .map((one) => $(one).text()),
        ).toEqual(whole.flatMap((block) => (block.is === 'list' ? block.entries.map(said) : [])))
        const tags = new Set(
          $('*')
            .toArray()
            .map((one) => $(one).prop('tagName')!.toLowerCase()),
        )
        for (const tag of tags) expect(['p', 'ul', 'ol', 'li', 'strong', 'em', 'br']).toContain(tag)
      }),
    ))
  it('links to the web, to mail and telephone and to pages of the site, and to nothing else', () => {
    const linked = (link: string) =>
      load(richHtml([{ is: 'paragraph', runs: [{ text: 'x', link }] }]), null, false)('a').attr('href')
    for (const link of ['https://a.example/?a=1&b=2', 'mailto:a@b.example', 'tel:+298123', '/visit', '#times'])
      expect(linked(link)).toBe(link)
    for (const link of ['javascript:alert(1)', ' JavaScript:alert(1)', 'data:text/html,x', '//evil.example', 'visit'])
      expect(linked(link)).toBeUndefined()
  })
  it('is refused where it has a form of another sort', () => {
    expect(RichText.safeParse([{ is: 'heading', runs: [] }]).success).toBe(false)
    expect(RichText.safeParse([{ is: 'paragraph', runs: [{ text: 'x', style: 'color:red' }] }]).success).toBe(false)
    expect(RichText.safeParse([paragraph('x')]).success).toBe(true)
  })
  it('without its form is one line for each paragraph and entry', () => {
    const blocks: RichText = [
      paragraph('One'),
      { is: 'list', ordered: true, entries: [[{ text: 'two' }], [{ text: 'three', bold: true }]] },
    ]
    expect(plainText(blocks)).toBe('One\ntwo\nthree')
    expect(lengthOf(blocks)).toBe(13)
  })
})
