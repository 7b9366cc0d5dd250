import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { methodIds, type MethodId } from '../methods'
import { asShown } from '../methods/as-shown'
import { regionIds, type Region } from '../platforms'
import { catalogue, findingCodes } from './catalogue'
import { fingerprint } from './fingerprint'
import { parsePage } from './page'
import type { Look } from './look'
import { Plan } from './plan'
import { verify, verifyPage } from './verify'

const origin = 'https://strand.example'
const id = 'pk7h2-mq9xv-abcde'
const snippet = ({
  method = 'inline',
  ...more
}: { method?: MethodId; origin?: string; publicId?: string; width?: number; height?: number } = {}) =>
  asShown(method, {
    origin,
    publicId: id,
    name: 'Harbour news',
    agency: 'T & T',
    width: 300,
    height: 400,
    ...more,
  })
const frame = () => snippet({ method: 'frame' })
const asText = (text: string) =>
  `<p>${text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/\n/g, '<br>')}</p>`

interface Regions {
  header?: string
  main?: string
  sidebar?: string
  footer?: string
  head?: string
}
const page = ({ header = '', main = '', sidebar = '', footer = '', head = '' }: Regions = {}) =>
  `<!DOCTYPE html>
<html>
<head><title>Timetable</title>${head}</head>
<body>
<header>${header}</header>
<main><h1>Timetable</h1>${main}</main>
<aside>${sidebar}</aside>
<footer>${footer}</footer>
</body>
</html>`

const url = 'https://ferries.example/timetable'
const answer = (html: string, more: Partial<Look> = {}): Look => ({
  how: 'served',
  url,
  finalUrl: url,
  status: 200,
  headers: { 'content-type': 'text/html' },
  html,
  at: '2026-11-24T12:00:00Z',
  ms: 12,
  error: null,
  ...more,
})
const plan = (more: Record<string, unknown> = {}) =>
  Plan.parse({ install: id, origin, placement: { region: 'sidebar', width: 300 }, url, status: 'pasted', ...more })
const check = (
  html: string,
  more: Record<string, unknown> = {},
  fresh: string | null = null,
  served: Partial<Look> = {},
) => verify(plan(more), [answer(html, served), ...(fresh === null ? [] : [answer(fresh, { how: 'fresh' })])])
const codes = (verdict: ReturnType<typeof verify>) => verdict.findings.map((f) => f.code)

describe('all well', () => {
  it.each([
    ['inline', snippet()],
    ['frame', frame()],
  ])('%s in its place is confirmed', (_method, text) => {
    const verdict = check(page({ sidebar: text }))
    expect(verdict).toMatchObject({
      findings: [],
      status: 'confirmed',
      facts: { region: 'sidebar', copies: 1, status: 200 },
    })
  })
  it('for any region and method, and whatever other text is on the page', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...regionIds),
        fc.constantFrom(...methodIds),
        fc.lorem(),
        (region: Region, method: MethodId, words) => {
          const html = page({ [region]: `<p>${words}</p>${snippet({ method })}` })
          expect(check(html, { method, placement: { region, width: 300 } }).status).toBe('confirmed')
        },
      ),
    )
  })
  it('one script serves several widgets', () => {
    const other = snippet({ publicId: 'other-widget-id' })
    expect(codes(check(page({ main: other, sidebar: snippet().replace(/<script.*/, '') })))).toEqual([])
  })
  it('an install that was only planned and is found is confirmed', () =>
    expect(check(page({ sidebar: snippet() }), { status: 'planned' }).status).toBe('confirmed'))
})

describe('findings', () => {
  const before = page()
  const baseline = { fingerprint: fingerprint(parsePage(before)), lastModified: null }

  it('absent: no trace, and the page has changed', () =>
    expect(codes(check(page({ main: '<p>New words</p>' }), { baseline }))).toEqual(['absent']))
  it('absent, not unpublished, where nobody looked before', () => expect(codes(check(page()))).toEqual(['absent']))
  it('absent is no fault of one that nobody has pasted', () =>
    expect(check(page(), { status: 'planned', baseline })).toMatchObject({
      status: 'planned',
      findings: [{ code: 'absent' }],
    }))

  it('unpublished: no trace, and the page is as it was', () => {
    const verdict = check(before, { baseline, words: { publish: 'press Publish page' } }, before)
    expect(verdict).toMatchObject({
      status: 'needs-a-hand',
      findings: [{ code: 'unpublished', nextAction: 'publish' }],
    })
    expect(verdict.findings[0]!.remedy).toContain('press Publish page')
  })
  it('unpublished by Last-Modified, where the content differs from load to load', () => {
    const lastModified = 'Mon, 23 Nov 2026 10:00:00 GMT'
    const verdict = check(
      page({ main: '<p>Visitor 4711</p>' }),
      { pastedAt: '2026-11-24T11:00:00Z', baseline: { ...baseline, lastModified } },
      null,
      { headers: { 'content-type': 'text/html', 'last-modified': lastModified } },
    )
    expect(codes(verdict)).toEqual(['unpublished'])
  })
  it('absent when Last-Modified moved on after the paste', () => {
    const headers = { 'content-type': 'text/html', 'last-modified': 'Tue, 24 Nov 2026 11:30:00 GMT' }
    expect(
      codes(
        check(
          page({ main: '<p>x</p>' }),
          {
            pastedAt: '2026-11-24T11:00:00Z',
            baseline: { ...baseline, lastModified: 'Mon, 23 Nov 2026 10:00:00 GMT' },
          },
          null,
          { headers },
        ),
      ),
    ).toEqual(['absent'])
  })

  it('cached-copy: there past the cache only, with the age of the copy', () => {
    const verdict = check(before, { words: { cache: 'Delivery › Empty page cache' } }, page({ sidebar: snippet() }), {
      headers: { 'content-type': 'text/html', age: '18120' },
    })
    expect(verdict).toMatchObject({
      status: 'needs-a-hand',
      findings: [{ code: 'cached-copy', nextAction: 'cache', proof: { look: 'served', headers: { age: '18120' } } }],
    })
    expect(verdict.findings[0]!.says).toContain('5 h 2 min old')
    expect(verdict.findings[0]!.remedy).toContain('Delivery › Empty page cache')
  })

  it.each([
    ['escaped', asText(snippet())],
    ['a frame, escaped', asText(frame())],
    ['with curly quotes', asText(snippet()).replace(/"/g, '”')],
    [
      'with non-breaking spaces and links made of addresses',
      asText(snippet())
        .replace(/ /g, '&nbsp;')
        .replace(/(https:\/\/strand\.example\/v\/[\w-]+)/, '<a href="$1">$1</a>'),
    ],
    ['in pre and code', `<pre><code>${asText(snippet()).replace(/<\/?p>|<br>/g, '\n')}</code></pre>`],
    ['in a text area', `<textarea>${snippet().replace(/</g, '&lt;')}</textarea>`],
    ['broken inside the attribute by an editor', `<p>&lt;div data-pebblestrand=<b>"</b><span>${id}</span>"&gt;</p>`],
  ])('shown-as-text: %s', (_how, html) => {
    const verdict = check(page({ sidebar: html }))
    expect(verdict).toMatchObject({ status: 'needs-a-hand', findings: [{ code: 'shown-as-text' }] })
    expect(verdict.findings[0]!.says).toContain('sidebar')
    expect(verdict.findings[0]!.proof.excerpts.length).toBeGreaterThan(0)
  })
  it('shown-as-text beside a copy that works', () =>
    expect(codes(check(page({ sidebar: snippet(), main: asText(snippet()) })))).toEqual(['shown-as-text']))

  it.each([
    ['comment', `<!-- ${snippet().replace(/<!--.*-->\n/, '')} -->`],
    ['template', `<template>${snippet()}</template>`],
    ['noscript', `<noscript>${snippet()}</noscript>`],
    ['data', `<script type="text/plain">${snippet().replace(/<script.*/, '')}</script>`],
  ])('inert: in %s', (where, html) =>
    expect(check(page({ sidebar: html })).findings).toMatchObject([{ code: 'inert', data: { where } }]),
  )
  it('inert: in the head, from where browsers move it to the top of the body', () =>
    expect(check(page({ head: snippet() })).findings).toMatchObject([{ code: 'inert', data: { where: 'head' } }]))
  it('not the head: a page that leaves its body tag out', () =>
    expect(codes(check(`<!DOCTYPE html><title>x</title><aside>${snippet()}</aside>`))).toEqual([]))

  it('other-widget, by its name where the register knows it', () => {
    const other = snippet({ publicId: 'zz9zz-zz9zz' })
    expect(
      check(page({ sidebar: other }), { others: [{ install: 'zz9zz-zz9zz', name: 'Deck photos' }] }).findings,
    ).toMatchObject([{ code: 'other-widget', says: 'In the sidebar stands “Deck photos”.' }])
    expect(check(page({ sidebar: other })).findings[0]!.says).toContain('a widget that the register does not know')
  })
  it('not other-widget where the other is planned for the same place, or stands in another', () => {
    const other = snippet({ publicId: 'zz9zz-zz9zz' })
    expect(
      codes(check(page({ sidebar: other }), { others: [{ install: 'zz9zz-zz9zz', name: 'x', here: true }] })),
    ).toEqual(['absent'])
    expect(codes(check(page({ main: other })))).toEqual(['absent'])
  })

  it('wrong-placement: says where it is and where it should be', () => {
    const verdict = check(page({ footer: snippet() }))
    expect(verdict.findings).toMatchObject([
      {
        code: 'wrong-placement',
        data: { planned: 'sidebar', found: 'footer' },
        says: 'Planned for the sidebar, found in the footer.',
      },
    ])
    expect(verdict.facts.region).toBe('footer')
  })
  it('wrong-placement by a selector, in the right region', () => {
    const placement = { region: 'sidebar', selector: 'aside .rail', width: 300 }
    const rail = '<div class="rail"></div>'
    expect(check(page({ sidebar: rail + snippet() }), { placement }).findings[0]!.says).toContain(
      'but outside its marked place',
    )
    expect(codes(check(page({ sidebar: `<div class="rail">${snippet()}</div>` }), { placement }))).toEqual([])
  })
  it('a mark that fits nothing any more is said, and the region decides', () => {
    const placement = { region: 'sidebar', selector: 'aside .rail', width: 300 }
    expect(check(page({ sidebar: snippet() }), { placement })).toMatchObject({
      findings: [],
      notes: [{ code: 'mark-gone' }],
      facts: { mark: 'aside' },
    })
    expect(codes(check(page({ footer: snippet() }), { placement }))).toEqual(['wrong-placement'])
  })
  it('offers what a placement without a mark can be marked by', () => {
    expect(check(page({ sidebar: `<div id="notices">${snippet()}</div>` })).facts.mark).toBe('#notices')
    const placement = { region: 'sidebar', selector: '#notices' }
    expect(check(page({ sidebar: `<div id="notices">${snippet()}</div>` }), { placement }).facts).toMatchObject({
      mark: null,
      regionBy: 'mark',
    })
  })

  it('double: twice in its place; the second elsewhere is no second fault', () => {
    expect(check(page({ sidebar: snippet() + snippet() })).findings).toMatchObject([
      { code: 'double', data: { copies: 2 } },
    ])
    expect(codes(check(page({ sidebar: snippet(), footer: frame() })))).toEqual(['double'])
  })

  it('wrong-host: script or frame of another Pebblestrand', () => {
    expect(check(page({ sidebar: snippet({ origin: 'https://old.example' }) })).findings).toMatchObject([
      { code: 'wrong-host', data: { host: 'https://old.example', ours: origin } },
    ])
    expect(codes(check(page({ sidebar: snippet({ method: 'frame', origin: 'http://strand.example' }) })))).toEqual([
      'wrong-host',
    ])
  })

  it('script-stripped: the element stays, the script does not', () =>
    expect(codes(check(page({ sidebar: snippet().replace(/<script.*<\/script>/, '') })))).toEqual(['script-stripped']))
  it('script-stripped: the editor took the element as well and left the link', () =>
    expect(codes(check(page({ sidebar: `<a href="${origin}/v/${id}">Harbour news</a>` })))).toEqual([
      'script-stripped',
    ]))

  it.each([
    ['no width', frame().replace(/width="300"/, ''), ['no-width']],
    ['wider than its place', frame().replace('width="300"', 'width="720"'), ['no-width']],
    ['wider by style', frame().replace('border:0', 'width:400px;border:0'), ['no-width']],
    ['a share of its container', frame().replace('width="300"', 'width="100%"'), []],
    ['a share by style', frame().replace('border:0', 'width: 100% !important;border:0'), []],
    ['narrower', frame().replace('width="300"', 'width="280"'), []],
  ])('no-width: %s', (_what, html, wanted) =>
    expect(codes(check(page({ sidebar: html }), { method: 'frame' }))).toEqual(wanted),
  )

  it('moved: the address leads elsewhere', () => {
    const verdict = check(page(), {}, null, { finalUrl: 'https://ferries.example/sailings' })
    expect(verdict.findings[0]).toMatchObject({
      code: 'moved',
      data: { destination: 'https://ferries.example/sailings' },
    })
  })
  it.each([
    'https://ferries.example/timetable/',
    'https://ferries.example/timetable?x=1',
    'http://ferries.example/timetable',
  ])('not moved: %s', (finalUrl) =>
    expect(codes(check(page({ sidebar: snippet() }), {}, null, { finalUrl }))).toEqual([]),
  )

  it.each<[string, Partial<Look>, RegExp]>([
    [
      'no answer',
      { status: 0, html: '', error: { code: 'timeout', message: 'There was no whole answer within 10 seconds.' } },
      /10 seconds/,
    ],
    ['an error', { status: 503 }, /error 503/],
    ['kept out', { status: 401 }, /sign in or keeps them out/],
    ['a file', { headers: { 'content-type': 'application/pdf' } }, /application\/pdf, not a web page/],
  ])('unreachable: %s', (_what, served, says) => {
    const verdict = check(page({ sidebar: snippet() }), {}, null, served)
    expect(codes(verdict)).toEqual(['unreachable'])
    expect(verdict.findings[0]!.says).toMatch(says)
  })
  it('unreachable: a sign-in wall', () => {
    const wall = '<form><input name="u"><input type="Password" name="p"></form>'
    expect(
      codes(check(page({ main: wall }), {}, null, { finalUrl: 'https://ferries.example/login?then=/timetable' })),
    ).toEqual(['unreachable'])
    expect(codes(check(page({ main: wall, sidebar: snippet() })))).toEqual([]) // a password field on the page itself is no wall
  })
})

describe('taken out again', () => {
  it('is retired when no trace is left', () =>
    expect(check(page(), { retiring: true }, page())).toMatchObject({ findings: [], status: 'retired' }))
  it('needs a hand while it is there', () =>
    expect(check(page({ sidebar: snippet() }), { retiring: true })).toMatchObject({
      findings: [{ code: 'still-there' }],
      status: 'needs-a-hand',
    }))
  it('is said to stand where the placement’s mark says it does', () => {
    const column = (text: string) => page({ main: `<div class="stripe">${text}</div>` })
    const [left] = check(column(snippet()), {
      retiring: true,
      placement: { region: 'sidebar', selector: '.stripe' },
    }).findings
    expect(left!.says).toContain('stands in the sidebar')
  })
  it('needs a cleared cache when only the old copy has it', () =>
    expect(codes(check(page({ sidebar: snippet() }), { retiring: true }, page()))).toEqual(['cached-copy']))
  it('is not gone while its code is still read as text', () =>
    expect(codes(check(page({ sidebar: asText(snippet()) }), { retiring: true }))).toEqual(['still-there']))
})

describe('proof', () => {
  it('shows the lines, with their number', () => {
    const html = page({ footer: `\n\n${snippet()}` })
    const line = html.split('\n').findIndex((l) => l.includes('data-pebblestrand')) + 1
    const [excerpt] = check(html).findings[0]!.proof.excerpts
    expect(excerpt!.line).toBe(line)
    expect(excerpt!.text.split('\n')[0]).toBe(`<div data-pebblestrand="${id}" style="min-height:400px">`)
  })
  it('cuts a page that is one long line around what matters', () => {
    const html = page({ footer: `${'<i>x</i>'.repeat(3000)}${snippet()}` }).replace(/\n/g, '')
    const [excerpt] = check(html).findings[0]!.proof.excerpts
    expect(excerpt!.text).toContain('data-pebblestrand')
    expect(excerpt!.text.length).toBeLessThan(600)
  })
})

describe('the catalogue', () => {
  it('has title, sentence, remedy and next action for every code', () => {
    for (const code of findingCodes) {
      const entry = catalogue[code]
      expect(entry.title).toMatch(/^[A-Z].*\.$/)
      expect(entry.says({ problem: 'No.' })).toMatch(/\.$/)
      expect(entry.remedy({})).toMatch(/\.$/)
      expect(['paste', 'publish', 'cache', 'look']).toContain(entry.nextAction)
    }
  })
})

describe('never breaks', () => {
  it('on any markup', () => {
    const shard = fc.constantFrom(
      '<div data-pebblestrand="',
      id,
      '">',
      '</div>',
      '<template>',
      '<noscript>',
      '<!--',
      '-->',
      '<iframe src="',
      `${origin}/f/${id}`,
      '<script src="',
      `${origin}/strand.js`,
      '</script>',
      '<body>',
      '</head>',
      '<aside>',
      '<main>',
      '&lt;',
      '<svg>',
      '<table>',
      '<select>',
      '\0',
    )
    fc.assert(
      fc.property(fc.array(fc.oneof(shard, fc.string()), { maxLength: 25 }), (parts) => {
        const verdict = check(parts.join(''), {}, parts.reverse().join(''))
        expect(['confirmed', 'needs-a-hand']).toContain(verdict.status)
      }),
    )
  })
})

describe('one look serves every install on the page', () => {
  const ten = Array.from({ length: 10 }, (_, i) => `pk7h2-mq9xv-abc${i}e`)
  const html = page({
    sidebar: ten
      .slice(0, 9)
      .map((publicId) => snippet({ publicId }))
      .join('\n'),
  })
  const looks = [answer(html), answer(html, { how: 'fresh' })]
  const plans = ten.map((install) => plan({ install }))

  it('gives each the verdict it gets alone', () =>
    expect(verifyPage(plans, looks)).toEqual(plans.map((one) => verify(one, looks))))
  it('tells the missing one from the nine that are there', () =>
    expect(verifyPage(plans, looks).map((v) => v.status)).toEqual([...Array(9).fill('confirmed'), 'needs-a-hand']))
})

describe('an install without a placement', () => {
  const over = { placement: null }
  it('is confirmed wherever on the page it stands', () => {
    for (const region of regionIds) expect(check(page({ [region]: snippet() }), over).status).toBe('confirmed')
  })
  it('is absent, doubled or not run like any other', () => {
    expect(codes(check(page(), over))).toEqual(['absent'])
    expect(check(page({ main: snippet() + snippet() }), over).findings).toMatchObject([
      { code: 'double', remedy: 'Take the extra out, so that one stays.' },
    ])
    expect(codes(check(page({ main: `<template>${snippet()}</template>` }), over))).toEqual(['inert'])
  })
})

describe('findings', () => {
  it('have a subject and a weight, and come the weightiest first', () => {
    const verdict = check(page({ main: snippet() + snippet() }), {}, null, { finalUrl: 'https://ferries.example/x' })
    expect(verdict.findings.map((f) => [f.code, f.subject])).toEqual([
      ['moved', 'page'],
      ['double', 'install'],
      ['wrong-placement', 'install'],
    ])
    const weights = verdict.findings.map((f) => f.weight)
    expect(weights).toEqual([...weights].sort((a, b) => b - a))
  })
})
