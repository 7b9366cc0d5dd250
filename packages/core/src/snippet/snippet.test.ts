import { load } from 'cheerio'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { advise, boxFor } from './advise'
import { methodIds } from './method'
import { profiles } from './profiles'
import { regionIds } from './region'
import { snippetText, type SnippetRequest } from './snippet'
import { duration, stepsFor } from './steps'

const request: SnippetRequest = {
  method: 'inline',
  origin: 'https://strand.example',
  publicId: 'pk7h2-mq9xv',
  name: 'Harbour news',
  agency: 'Tern & Tiller Web Care',
  width: 300,
  height: 411.6,
}

describe('snippets', () => {
  it('inline: element with its height, link for no script, script', () => {
    expect(snippetText(request)).toBe(
      `<!-- Harbour news, by Tern & Tiller Web Care -->
<div data-pebblestrand="pk7h2-mq9xv" style="min-height:412px">
  <a href="https://strand.example/v/pk7h2-mq9xv">Harbour news</a>
</div>
<script async src="https://strand.example/strand.js"></script>
`,
    )
  })
  it('frame: title, width, height with room to spare, lazy', () => {
    const frame = load(snippetText({ ...request, method: 'frame' }))('iframe')
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
          `<body><main>${snippetText({ ...request, method, name, agency, publicId: `x${id}` })}<p>after</p></main></body>`,
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

describe('advice', () => {
  const profile = profiles['hand-coded']!
  it('takes the script where a box keeps scripts, and says why', () => {
    const { best, others } = advise(profile, 'sidebar')
    expect(best).toMatchObject({ method: 'inline', box: { id: 'code' } })
    expect(best.why).toBe(
      "the code box of this site's sidebar keeps scripts, and so it keeps its own height and takes the font of the page",
    )
    expect(others).toMatchObject([{ method: 'frame', why: expect.stringContaining('its height is fixed') }])
  })
  it('takes the frame where scripts are stripped', () => {
    const strict = {
      ...profile,
      boxes: [{ ...profile.boxes[0]!, keeps: { element: true, script: false, frame: true } }],
    }
    const { best, others } = advise(strict, 'main')
    expect(best).toMatchObject({ method: 'frame', box: { id: 'code' } })
    expect(others).toMatchObject([{ method: 'inline', box: null, why: "no box of this site's main keeps scripts" }])
  })
  it('says so where nothing is kept', () => {
    const hopeless = { ...profile, boxes: [profile.boxes[1]!] }
    expect(advise(hopeless, 'main').best).toMatchObject({
      box: null,
      why: expect.stringContaining("no box of this editor's main keeps it"),
    })
  })
  it('never advises a box that would harm the snippet', () => {
    for (const p of Object.values(profiles)) {
      for (const region of regionIds) {
        for (const method of methodIds) {
          const box = boxFor(p, region, method)
          if (box) expect(method === 'inline' ? box.keeps.script && box.keeps.element : box.keeps.frame).toBe(true)
        }
      }
    }
  })
})

describe('steps', () => {
  const context = { page: 'Timetable', region: 'sidebar', method: 'inline', cacheMinutes: 360 } as const
  const text = (id: string, minutes = 360) =>
    stepsFor(profiles[id]!, { ...context, cacheMinutes: minutes }).map((s) => s.parts.map((p) => p.text).join(''))

  it("come in the site's own order and words", () => {
    expect(text('hand-coded')).toEqual([
      'Open Timetable at the editing desk.',
      'Paste into the Code box of the sidebar, not into the visual text box.',
      'Press Save. Visitors see nothing of it yet.',
      'Press Publish page.',
      'Clear the cache: Delivery › Empty page cache. It keeps pages up to 6 h.',
      'Look at the page signed out.',
    ])
  })
  it('leave the cache out where there is none', () => expect(text('hand-coded', 0).join(' ')).not.toMatch(/cache/))
  it('fill every blank of every profile', () => {
    for (const id of Object.keys(profiles)) expect(text(id).join(' ')).not.toMatch(/[{}*]/)
  })
  it.each([
    [0, '0 min'],
    [45, '45 min'],
    [60, '1 h'],
    [150, '2 h 30 min'],
    [360, '6 h'],
    [1440, '24 h'],
    [10_080, '7 days'],
    [3121, '2 days 4 h'],
  ])('%i minutes are %s', (minutes, words) => expect(duration(minutes)).toBe(words))
})
