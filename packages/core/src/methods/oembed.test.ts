import { load } from 'cheerio'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { oEmbedOf, oEmbedXml, readElement, type SnippetRequest } from '.'

const request: SnippetRequest = {
  origin: 'https://strand.example',
  publicId: 'pk7h2-mq9xv',
  name: 'Harbour news',
  agency: 'Tern & Tiller Web Care',
  width: 640,
  height: 400,
  narrower: { phone: 700 },
}

// oEmbed 1.0, sections 2.3.4 (members that every answer has) and 2.3.4.4 (those of type rich).
describe('an oEmbed answer', () => {
  it('has what the standard requires of type rich', () => {
    const answer = oEmbedOf(request, {})
    expect(answer).toMatchObject({ type: 'rich', version: '1.0', width: 640, height: 460 })
    expect(answer.html).toMatch(/^<iframe /)
    expect(Object.keys(answer)).toEqual(expect.arrayContaining(['html', 'width', 'height', 'type', 'version']))
  })
  it('is no wider and no higher than was asked for, in its members and in its markup', () => {
    const rooms = fc.record(
      { maxWidth: fc.integer({ min: 1, max: 2000 }), maxHeight: fc.integer({ min: 1, max: 2000 }) },
      { requiredKeys: [] },
    )
    fc.assert(
      fc.property(rooms, (room) => {
        const { html, width, height } = oEmbedOf(request, room)
        expect(width).toBeLessThanOrEqual(room.maxWidth ?? 640)
        expect(height).toBeLessThanOrEqual(room.maxHeight ?? Infinity)
        const frame = load(html)('iframe')
        expect([Number(frame.attr('width')), Number(frame.attr('height'))]).toEqual([width, height])
      }),
    )
  })
  it('narrower than planned it is as high as on a narrow window', () =>
    expect(oEmbedOf(request, { maxWidth: 320 }).height).toBe(805))
  it('what an editor puts there is read as ours, whatever the name is', () => {
    fc.assert(
      fc.property(fc.string(), (name) => {
        const $ = load(`<main>${oEmbedOf({ ...request, name }, {}).html}</main>`)
        expect($('main').children()).toHaveLength(1)
        expect(readElement($('iframe')[0]!)).toMatchObject({
          method: 'frame',
          publicId: request.publicId,
          origin: request.origin,
        })
      }),
    )
  })
})

// Section 2.3.2: one element `oembed`, a child for each member. Read back by a second parser.
describe('as XML', () => {
  it('says the same as JSON', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (name) => {
        const answer = oEmbedOf({ ...request, name }, {})
        const $ = load(oEmbedXml(answer), { xml: { decodeEntities: true } })
        expect($.root().children('oembed')).toHaveLength(1)
        // eslint-disable-next-line no-control-regex -- XML 1.0 has none of these (section 2.2)
        const clean = (value: string) => value.toWellFormed().replace(/[\0-\x08\x0b\x0c\x0e-\x1f\ufffe\uffff]/g, '')
        for (const [member, value] of Object.entries(answer))
          expect($(`oembed > ${member}`).text()).toBe(clean(String(value)))
      }),
    )
  })
})
