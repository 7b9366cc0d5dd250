import { load } from 'cheerio'
import type { AnyNode, Element } from 'domhandler'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { methodIds, methodList, methods, readElement, readRemnant, readScript, type SnippetRequest } from './index'

const request: SnippetRequest = {
  origin: 'https://strand.example',
  publicId: 'pk7h2-mq9xv',
  name: 'Harbour news',
  agency: 'Tern & Tiller Web Care',
  width: 300,
  height: 411.6,
}

describe('snippets', () => {
  it('inline: element with its height, link for no script, script', () => {
    expect(methods.inline.text(request)).toBe(
      `<!-- Harbour news, by Tern & Tiller Web Care -->
<div data-pebblestrand="pk7h2-mq9xv" style="min-height:412px">
  <a href="https://strand.example/v/pk7h2-mq9xv">Harbour news</a>
</div>
<script async src="https://strand.example/strand.js"></script>
`,
    )
  })
  it('frame: title, width, height with room to spare, lazy', () => {
    const frame = load(methods.frame.text(request))('iframe')
    expect(frame.attr()).toEqual({
      src: 'https://strand.example/f/pk7h2-mq9xv',
      title: 'Harbour news',
      width: '300',
      height: '474',
      loading: 'lazy',
      style: 'border:0;max-width:100%',
    })
  })

  // HTML standard: whatever the names are, the snippet's shape stays the same when parsed.
  it('survives any name and id', () => {
    const text = fc.oneof(
      fc.string(),
      fc.constantFrom('"><script>alert(1)</script>', '--><img>', "' onload='x", '</div></iframe>', '\n\n'),
    )
    fc.assert(
      fc.property(fc.constantFrom(...methodIds), text, text, text, (method, name, agency, id) => {
        const $ = load(
          `<body><main>${methods[method].text({ ...request, name, agency, publicId: `x${id}` })}<p>after</p></main></body>`,
        )
        const clean = (value: string) => value.toWellFormed().replace(/\0/g, '')
        const shape = $('main')
          .children()
          .toArray()
          .map((e) => e.name)
        expect(shape).toEqual(method === 'inline' ? ['div', 'script', 'p'] : ['iframe', 'p'])
        if (method === 'inline') expect($('div').attr('data-pebblestrand')).toBe(clean(`x${id}`))
        else expect($('iframe').attr('title')).toBe(clean(name))
      }),
    )
  })
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
  it.each(methodList.map((m) => [m.id, m] as const))('%s', (_id, method) => {
    fc.assert(
      fc.property(ids, origins, fc.string(), (publicId, origin, name) => {
        const { found, scripts } = readBack(`<main>${method.text({ ...request, publicId, origin, name })}</main>`)
        expect(found).toMatchObject([{ method: method.id, publicId }])
        expect(found[0]!.origin ?? scripts[0]!.origin).toBe(origin)
      }),
    )
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
