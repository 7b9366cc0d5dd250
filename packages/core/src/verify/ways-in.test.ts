import { describe, expect, it } from 'vitest'
import { markOfText, methods, versionMark } from '../methods'
import type { Look } from './look'
import { Plan } from './plan'
import { verify } from './verify'

// How each way to embed is met again on a page, and what is said where it did not come off.

const origin = 'https://strand.example'
const request = { origin, publicId: 'pk7h2-mq9xv', name: 'Harbour news', agency: 'T & T', width: 300, height: 400 }
const tagId = 'tag22-site4'
const tagText = methods.tag.text({ ...request, publicId: tagId })
const look = (body: string, head = ''): Look => ({
  how: 'served',
  url: 'https://ferries.example/news',
  finalUrl: 'https://ferries.example/news',
  status: 200,
  headers: { 'content-type': 'text/html' },
  html: `<!doctype html><html><head>${head}</head><body><header>Ferries</header><main><h1>News</h1><p>What is new on the water.</p>${body}</main><aside class="side"></aside><footer>Skerrow</footer></body></html>`,
  at: '2026-11-26T12:00:00.000Z',
  ms: 5,
  error: null,
})
const plan = (more: Partial<Record<keyof Plan, unknown>> = {}) =>
  Plan.parse({ install: request.publicId, origin, placement: { region: 'main' }, status: 'pasted', ...more })
const codes = (p: Plan, ...looks: Look[]) => verify(p, looks).findings.map(({ code }) => code)

describe('an address', () => {
  const by = plan({ method: 'link' })
  it('that an editor made a frame of is there', () =>
    expect(codes(by, look(`<iframe src="${methods.link.text(request)}" width="300" height="400"></iframe>`))).toEqual(
      [],
    ))
  it('that became a link is said to be one', () =>
    expect(codes(by, look(`<p><a href="${methods.link.text(request)}">${methods.link.text(request)}</a></p>`))[0]).toBe(
      'link-only',
    ))
  it('that stayed words is read as that', () =>
    expect(codes(by, look(`<p>${methods.link.text(request)}</p>`))).toEqual(['shown-as-text']))
  it('a link that is left of an element is still a stripped script', () =>
    expect(codes(plan(), look(`<a href="${origin}/v/${request.publicId}">Harbour news</a>`))).toEqual([
      'script-stripped',
    ]))
})

describe('within a frame’s own markup', () => {
  const framed = (text: string) =>
    look(`<iframe srcdoc="${text.replace(/&/g, '&amp;').replace(/"/g, '&quot;')}"></iframe>`)
  it('it is found, and its text read where it is shown', () => {
    expect(codes(plan(), framed(methods.inline.text(request)))).toEqual([])
    expect(codes(plan(), framed(`<p>${methods.link.text(request)}</p>`))).toEqual(['shown-as-text'])
    expect(codes(plan(), framed(`<p>${methods.shortcode.text(request)}</p>`))).toEqual(['shortcode-raw'])
    expect(codes(plan(), framed('<p>nothing</p>'))).toEqual(['absent'])
  })
})

describe('a shortcode', () => {
  const by = plan({ method: 'shortcode' })
  it('that a connector replaced is there', () => expect(codes(by, look(methods.inline.text(request)))).toEqual([]))
  it.each([
    methods.shortcode.text(request),
    `[pebblestrand id=“${request.publicId}”]`,
    `<span>[</span>pebblestrand id=${request.publicId}]`,
  ])('that nobody replaced is read as it was typed: %s', (text) =>
    expect(codes(by, look(`<p>${text}</p>`))).toEqual(['shortcode-raw']),
  )
})

describe('the site’s tag', () => {
  const own = plan({ install: tagId, tag: tagId, method: 'tag', placement: null })
  it('is there in the head or the body, once', () => {
    expect(verify(own, [look('', tagText)])).toMatchObject({ status: 'confirmed', findings: [], facts: { tag: true } })
    expect(codes(own, look(tagText))).toEqual([])
    expect(codes(own, look(tagText, tagText))).toEqual(['double'])
  })
  it('is not there', () => expect(codes(own, look(''))).toEqual(['absent']))
  it('is shown as text', () =>
    expect(codes(own, look(`<pre>${tagText.replace(/</g, '&lt;')}</pre>`))).toEqual(['shown-as-text']))
  it('is stopped by a policy', () => {
    const strict = {
      ...look('', tagText),
      headers: { 'content-type': 'text/html', 'content-security-policy': "script-src 'self'" },
    }
    expect(codes(own, strict)).toEqual(['blocked'])
  })
})

describe('what the tag brings', () => {
  const by = plan({ method: 'tag', tag: tagId, placement: { region: 'sidebar', selector: '.side' } })
  it('is there where the tag runs and its place is', () =>
    expect(verify(by, [look('', tagText)])).toMatchObject({ status: 'confirmed', findings: [] }))
  it('not without the tag', () => expect(codes(by, look(''))).toEqual(['tag-missing']))
  it('nor where its place is gone', () =>
    expect(codes(plan({ ...by, placement: { region: 'sidebar', selector: '.notices' } }), look('', tagText))).toEqual([
      'place-gone',
    ]))
  it('is gone once it is to be', () =>
    expect(verify({ ...by, retiring: true }, [look('', tagText)])).toMatchObject({ status: 'retired' }))
  it('pasted all the same it is simply there', () =>
    expect(codes(plan({ method: 'tag', tag: tagId }), look(methods.inline.text(request)))).toEqual([]))
})

describe('an older text', () => {
  const notes = (texts: string[]) =>
    verify(plan({ texts }), [look(methods.inline.text(request))]).notes.map(({ code }) => code)
  it('is told from the present one by its mark', () => {
    expect(notes([versionMark('inline', request)])).toEqual([])
    expect(notes([versionMark('inline', { ...request, width: 600 })])).toEqual(['old-text'])
  })
  it('one without a mark is taken as it is', () => {
    const before = methods.inline.text(request).replace(/#t[0-9a-z]{6}/, '')
    expect(verify(plan({ texts: ['abcdef'] }), [look(before)]).notes).toEqual([])
  })
  it('is told by whom it was given, present or older; the mark is read out of the text of every method', () => {
    const given = { ...request, still: { kind: 'x', alt: 'x', width: 10, height: 10 } } as never
    for (const id of ['inline', 'frame', 'link', 'shortcode', 'opener'] as const)
      expect(markOfText(methods[id].text(given)), id).toBe(versionMark(id, given))
    const handed = [{ mark: markOfText(methods.inline.text(request))!, to: 'Isla', day: '3 Nov 2026' }]
    const seen = (more: object) => verify(plan({ handed, ...more }), [look(methods.inline.text(request))]).notes
    expect(seen({}).map(({ says }) => says)).toEqual(['It is the very text that was handed to Isla (3 Nov 2026).'])
    expect(seen({ texts: ['abcdef'] }).map(({ code }) => code)).toEqual(['old-text', 'handed-text'])
    expect(seen({ handed: [{ ...handed[0]!, mark: 'zzzzzz' }] })).toEqual([])
  })
})
