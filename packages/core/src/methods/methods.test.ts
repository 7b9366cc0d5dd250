import { load } from 'cheerio'
import type { AnyNode, Element } from 'domhandler'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  beforeIds,
  methodIds,
  methodList,
  methods,
  readElement,
  readRemnant,
  readScript,
  textForms,
  versionMark,
} from './index'
import type { MethodId, SnippetRequest, TextForm } from './index'

const request: SnippetRequest = {
  origin: 'https://strand.example',
  publicId: 'pk7h2-mq9xv',
  name: 'Harbour news',
  agency: 'Tern & Tiller Web Care',
  width: 300,
  height: 411.6,
}

const mark = (method: MethodId, more: Partial<SnippetRequest> = {}) => versionMark(method, { ...request, ...more })

describe('snippets', () => {
  it('inline: element with its height, link for no script, script', () => {
    expect(methods.inline.text(request)).toBe(
      `<!-- Harbour news, by Tern & Tiller Web Care -->
<div data-pebblestrand="pk7h2-mq9xv" style="min-height:412px">
  <a href="https://strand.example/v/pk7h2-mq9xv#t${mark('inline')}">Harbour news</a>
</div>
<script async src="https://strand.example/strand.js"></script>
`,
    )
  })
  it('frame: title, width, height with room to spare, lazy', () => {
    const frame = load(methods.frame.text(request))('iframe')
    expect(frame.attr()).toEqual({
      src: `https://strand.example/f/pk7h2-mq9xv#t${mark('frame')}`,
      title: 'Harbour news',
      width: '300',
      height: '474',
      loading: 'lazy',
      sandbox: 'allow-scripts allow-popups allow-popups-to-escape-sandbox allow-top-navigation-by-user-activation',
      style: 'border:0;max-width:100%',
    })
  })
  it('frame: of its own height by the script beside it, and allowed what films need', () => {
    const $ = load(methods.frame.text({ ...request, plays: true, grows: true }))
    expect($('iframe').attr('allow')).toBe('fullscreen; autoplay')
    expect($('script').attr('src')).toBe('https://strand.example/strand.js')
    expect(mark('frame', { grows: true })).not.toBe(mark('frame'))
    expect(mark('frame', { plays: true })).not.toBe(mark('frame', { grows: true }))
    expect(mark('inline', { grows: true })).toBe(mark('inline'))
  })
  it('address, shortcode and tag: one line each', () => {
    expect(methods.link.text(request)).toBe(`https://strand.example/v/pk7h2-mq9xv#t${mark('link')}`)
    expect(methods.shortcode.text(request)).toBe(`[pebblestrand id=pk7h2-mq9xv t=${mark('shortcode')}]`)
    expect(methods.tag.text({ ...request, form: 'minimal' })).toBe(
      '<script async src="https://strand.example/strand.js" data-pebblestrand-site="pk7h2-mq9xv"></script>',
    )
  })
  it('opener: a link that leads there without a script, like a button, a picture, or by its mark alone', () => {
    const of = (opens: SnippetRequest['opens']) => load(methods.opener.text({ ...request, opens }))('body')
    const link = of(undefined).find('a')
    expect(link.attr()).toEqual({
      href: `https://strand.example/v/pk7h2-mq9xv#t${mark('opener')}`,
      'data-pebblestrand-opens': 'pk7h2-mq9xv',
    })
    expect(of({ by: 'button', words: 'Read them' }).find('a[style]').text()).toBe('Read them')
    const src = 'https://ferry.example/stars.png'
    expect(of({ by: 'picture', picture: src, words: 'Reviews' }).find('a img').attr()).toEqual({ src, alt: 'Reviews' })
    expect(of({ by: 'picture', picture: 'javascript:alert(1)' }).find('img')).toHaveLength(0)
    expect(of({ by: 'attribute' }).find('[href]')).toHaveLength(0)
    expect(readBack(methods.opener.text({ ...request, opens: { by: 'attribute' } })).found).toMatchObject([
      { method: 'opener', publicId: request.publicId, version: null },
    ])
  })
  it('picture: at both sizes or as a drawing, with what it says', () => {
    const still = { width: 280, height: 66, says: 'Guests say "4.6"' }
    const image = (more: object) => load(methods.picture.text({ ...request, still, ...more }))('a > img')
    expect(image({}).attr()).toEqual({
      src: `https://strand.example/r1/pk7h2-mq9xv.png#t${mark('picture')}`,
      srcset: 'https://strand.example/r2/pk7h2-mq9xv.png 2x',
      width: '280',
      height: '66',
      alt: 'Guests say "4.6"',
    })
    expect(image({ drawing: true }).attr('src')).toMatch(/\/r3\/pk7h2-mq9xv\.svg#t/)
    const put = methods.picture.text(request).replace(' src=', ' src="/blank.gif" data-src=')
    expect(readBack(put).found).toMatchObject([{ method: 'picture', publicId: request.publicId }])
  })
  it('the mark changes with what the text says, and not with names or heights', () => {
    expect(mark('inline', { name: 'Other', height: 900, agency: 'x', form: 'line' })).toBe(mark('inline'))
    const others = [
      mark('frame'),
      mark('inline', { width: 301 }),
      mark('inline', { publicId: 'x' }),
      mark('inline', { origin: 'https://b.example' }),
    ]
    expect(new Set([mark('inline'), ...others]).size).toBe(5)
    expect(mark('inline')).toMatch(/^[0-9a-z]{6}$/)
  })

  const text = fc.oneof(
    fc.string(),
    fc.constantFrom('"><script>alert(1)</script>', '--><img>', "' onload='x", '</div></iframe>', '\n\n'),
  )
  const clean = (value: string) => value.toWellFormed().replace(/\0/g, '')
  const shapes: Record<MethodId, string[]> = {
    inline: ['div', 'script', 'p'],
    frame: ['iframe', 'p'],
    tag: ['script', 'p'],
    link: ['p'],
    shortcode: ['p'],
    opener: ['a', 'script', 'p'],
    picture: ['a', 'p'],
  }
  const forms = fc.constantFrom(...(Object.keys(textForms) as TextForm[]))

  // HTML standard: whatever the names are and however it is set, the snippet's shape stays the same when parsed.
  it('survives any name and id, in every form', () => {
    fc.assert(
      fc.property(fc.constantFrom(...methodIds), forms, text, text, text, (method, form, name, agency, id) => {
        const $ = load(
          `<body><main>${methods[method].text({ ...request, form, name, agency, publicId: `x${id}` })}<p>after</p></main></body>`,
        )
        const shape = $('main')
          .children()
          .toArray()
          .map((e) => e.name)
        expect(shape).toEqual(shapes[method])
        if (method === 'inline') expect($('div').attr('data-pebblestrand')).toBe(clean(`x${id}`))
        if (method === 'frame') expect($('iframe').attr('title')).toBe(clean(name))
      }),
    )
  })
  // Editors wrap what is on lines of its own into paragraphs: on one line there is none to wrap.
  it('on one line it is one line, and says the same', () => {
    const said = (html: string) =>
      load(html)('body *')
        .toArray()
        .map((element) => [element.name, element.attribs])
    for (const method of methodIds)
      for (const form of ['line', 'minimal'] as const) {
        const one = methods[method].text({ ...request, form })
        expect(one).not.toMatch(/\n/)
        expect(said(one)).toEqual(said(methods[method].text(request)))
        expect(one.includes('<!--')).toBe(form === 'line' && shapes[method].length > 1)
      }
  })
  it('says who put it there, or does not', () =>
    expect(methods.frame.text({ ...request, signed: false })).not.toContain('Tern'))
  it('carries the nonce of a site that asks for one', () =>
    expect(load(methods.inline.text({ ...request, nonce: 'r4nd"m' }))('script').attr('nonce')).toBe('r4nd"m'))
})

/** Everything a parsed page says of our snippets, in document order. */
function readBack(html: string) {
  const elements = load(html)('*')
    .toArray()
    .filter((e: AnyNode): e is Element => e.type === 'tag' || e.type === 'script')
  return {
    found: elements.flatMap((e) => readElement(e) ?? []),
    scripts: elements.flatMap((e) => readScript(e) ?? []),
    remnants: elements.flatMap((e) => readRemnant(e) ?? []),
  }
}

// Written and read in one file: for whatever a snippet is written from, the HTML standard's parser and `read` give it back.
describe('each method reads what it writes', () => {
  const clean = (value: string) => value.toWellFormed().replace(/\0/g, '')
  const ids = fc.string({ minLength: 1 }).filter((id) => clean(id) === id && id.trim() !== '' && !/^\.{1,2}$/.test(id))
  const origins = fc.webUrl().map((url) => new URL(url).origin)
  it.each([methods.inline, methods.frame, methods.tag, methods.opener, methods.picture].map((m) => [m.id, m] as const))(
    '%s',
    (_id, method) => {
      fc.assert(
        fc.property(ids, origins, fc.string(), (publicId, origin, name) => {
          const all = { ...request, publicId, origin, name }
          const { found, scripts } = readBack(`<main>${method.text(all)}</main>`)
          const version = method.id === 'tag' ? null : versionMark(method.id, all)
          expect(found).toMatchObject([{ method: method.id, publicId, version }])
          expect(found[0]!.origin ?? scripts[0]!.origin).toBe(origin)
        }),
      )
    },
  )
  // What is pasted as words is read from what replaces it; until then its id is found by what stands before it.
  it.each([methods.link, methods.shortcode].map((m) => [m.id, m] as const))('%s, as the words it is', (_id, method) => {
    const plain = fc.string({ unit: fc.constantFrom(...'abcdefgh234567-'), minLength: 1 })
    fc.assert(
      fc.property(plain, origins, (publicId, origin) => {
        const written = load(`<p>${method.text({ ...request, publicId, origin })}</p>`)('p').text()
        const before = beforeIds.find((one) => written.includes(one + publicId))
        expect(before).toBeTruthy()
      }),
    )
  })
  it('an address is read in the frame that an editor puts there', () => {
    const address = methods.link.text(request)
    expect(readBack(`<iframe src="${address}"></iframe>`).found).toEqual([
      { method: 'frame', publicId: request.publicId, origin: request.origin, version: versionMark('link', request) },
    ])
  })
  it('tells what an editor left when it took the element away', () => {
    const left = methods.inline.text(request).replace(/<\/?div[^>]*>/g, '')
    expect(readBack(left)).toMatchObject({ found: [], remnants: [request.publicId] })
  })
  it('reads nothing on a page of others', () => {
    const html =
      '<div data-pebble="x"></div><iframe src="/film/1"></iframe><script src="/strand.js.map"></script><a href="/vista/1">x</a>'
    expect(readBack(html)).toEqual({ found: [], scripts: [], remnants: [] })
  })
  it('names what a content security policy must allow, by its own origin alone', () => {
    for (const method of methodList)
      expect(new Set(Object.values(method.policy('https://strand.example')).flat())).toEqual(
        new Set(['https://strand.example']),
      )
  })
})
