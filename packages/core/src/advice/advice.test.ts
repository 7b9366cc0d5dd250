import { describe, expect, it } from 'vitest'
import { methodIds, methods, type MethodId } from '../methods'
import { profileList, profiles, regionIds, type PlatformProfile, type Region } from '../platforms'
import { readPolicies, refusals, withholds } from '../policy'
import { advise, boxesFor, type Setting } from './advise'
import { drawnSizes } from './drawn-size'
import { stepsFor } from './steps'

const origin = 'https://strand.example'
const setting = (region: Region | null, more: Partial<Setting> = {}): Setting => ({
  origin,
  region,
  behaviours: [],
  connector: false,
  tag: 'none',
  selector: false,
  refused: () => null,
  ...more,
})
const refusedBy =
  (policy: string): Setting['refused'] =>
  (needs) => {
    const [first] = refusals(readPolicies(policy), needs, new URL('https://shop.example/'))
    return first ? { problem: `refused by ${first.directive}`, rule: first.rule } : null
  }
const advised = (id: string, region: Region | null, more: Partial<Setting> = {}) =>
  advise(profiles[id]!, setting(region, more))
const about = (id: string, region: Region | null, method: MethodId, more: Partial<Setting> = {}) => {
  const { best, others } = advised(id, region, more)
  return [best, ...others].find((one) => one.method === method)!
}

describe('a site whose pages change without loading', () => {
  it('costs a pasted script those who come from another page, until the tag is there; a frame runs wherever it comes', () => {
    expect(about('section-builder', 'main', 'inline').losses).toContain('unloaded')
    expect(about('section-builder', 'main', 'inline', { tag: 'confirmed' }).losses).not.toContain('unloaded')
    expect(about('section-builder', 'main', 'frame').losses).not.toContain('unloaded')
    expect(about('canvas-builder', 'main', 'inline').losses).not.toContain('unloaded')
    expect(about('hand-coded', 'main', 'inline').losses).not.toContain('unloaded')
  })
})

describe('frames', () => {
  it('are as high as what is in them where the tag is, in the page itself', () => {
    expect(about('hand-coded', 'main', 'frame').losses).toContain('growth')
    expect(about('hand-coded', 'main', 'frame', { tag: 'confirmed' }).losses).not.toContain('growth')
    expect(about('canvas-builder', 'main', 'frame', { tag: 'confirmed' }).losses).toContain('growth')
  })
  it('keep films small where the permissions policy says so: of the page for its own, of our frame for what stands in it', () => {
    const players = ['https://films.example']
    const page = new URL('https://shop.example/')
    const by = (header: string) => ({
      players,
      withholds: (feature: string, origins: readonly string[]) =>
        origins.some((one) => withholds(header, feature, one, page)),
    })
    const of = (method: MethodId, header: string) =>
      about('hand-coded', 'main', method, by(header)).losses.includes('screen')
    expect([of('inline', 'fullscreen=(self)'), of('frame', 'fullscreen=(self)')]).toEqual([true, true])
    const ours = `fullscreen=(self "${origin}")`
    expect([of('inline', ours), of('frame', ours)]).toEqual([true, false])
    const films = 'fullscreen=(self "https://films.example")'
    expect([of('inline', films), of('frame', films)]).toEqual([false, true])
    expect(about('hand-coded', 'main', 'inline', { ...by('fullscreen=()'), players: [] }).losses).toEqual([])
  })
})

describe('a site over https, where we answer over http', () => {
  it('is blocked whatever the method, and no rule of the site mends it', () => {
    const { best, others, ask } = advised('hand-coded', 'main', {
      refused: () => ({ problem: 'over http', rule: null }),
      pictured: true,
    })
    expect([best, ...others].filter(({ ends }) => ends === 'shown')).toEqual([])
    expect(ask).toMatch(/over https/)
    expect(best.rule).toBeNull()
  })
})

describe('advice', () => {
  const profile = profiles['hand-coded']!
  it('takes the script where a box keeps scripts, and says why', () => {
    const { best, others, ask } = advised('hand-coded', 'sidebar')
    expect(best).toMatchObject({ method: 'inline', box: { id: 'code' }, ends: 'shown', losses: [] })
    expect(best.why).toBe(
      "the code box of this site's sidebar keeps scripts, and so it keeps its own height and takes the font of the page",
    )
    expect(others[0]).toMatchObject({ method: 'frame', why: expect.stringContaining('its height is fixed') as string })
    expect(ask).toBeNull()
  })
  it('takes the frame where scripts are stripped', () => {
    const [code] = profile.boxes
    const strict: PlatformProfile = { ...profile, boxes: [{ ...code!, treats: { ...code!.treats, script: 'strips' } }] }
    const { best, others } = advise(strict, setting('main'))
    expect(best).toMatchObject({ method: 'frame', box: { id: 'code' } })
    expect(best.why).toMatch(
      /^no box of this site's main keeps scripts, but the code box of this site's main keeps frames: it works/,
    )
    expect(others.find(({ method }) => method === 'inline')).toMatchObject({
      ends: 'link',
      why: "no box of this site's main keeps scripts",
    })
  })
  it('says what a frame cannot do for this widget', () => {
    const frameOf = (behaviours: string[]) => about('hand-coded', 'main', 'frame', { behaviours }).why
    expect(frameOf(['carousel'])).not.toContain('enlarges')
    expect(frameOf(['enlarge', 'more'])).toContain(
      '; what a press enlarges stays as small as the frame; what the button brings scrolls within the frame',
    )
  })
  it('says so where nothing is kept, and what to ask for', () => {
    const hopeless: PlatformProfile = { ...profile, boxes: [profile.boxes[1]!] }
    const { best, ask } = advise(hopeless, setting('main'))
    expect(best.ends).not.toBe('shown')
    expect(ask).toMatch(/^Nothing that can be pasted into the main shows it\. Ask the client for a box/)
  })
  it('names who can write into the head, where the region has nothing for code', () =>
    expect(advised('section-builder', 'header').ask).toContain('the site tag put into “Extra lines for every page”'))

  it('takes the shortcode only where the connector is on', () => {
    const safe = {
      ...profiles['cms-shortcodes']!,
      boxes: profiles['cms-shortcodes']!.boxes.filter(({ id }) => id !== 'code'),
    }
    expect(advise(safe, setting('main', { connector: true })).best.method).toBe('shortcode')
    expect(advise(safe, setting('main')).best.method).toBe('frame')
    expect(about('cms-shortcodes', 'main', 'shortcode')).toMatchObject({
      ends: 'code',
      why: expect.stringContaining('connector') as string,
    })
  })
  it('takes the site tag where it is there and finds the place, and first of all to be pasted where all else is worse', () => {
    expect(advised('hand-coded', 'main', { tag: 'confirmed', selector: true }).best.method).toBe('tag')
    expect(advised('hand-coded', 'main', { tag: 'confirmed' }).best.method).toBe('inline')
    expect(advised('hand-coded', 'main', { selector: true }).best.method).toBe('inline')
    expect(advised('tag-manager', 'main', { selector: true }).best).toMatchObject({
      method: 'tag',
      box: { id: 'tag' },
      losses: ['tagFirst', 'arrives'],
    })
  })
  it('on a canvas: a frame of fixed size, and what is lost in it', () => {
    const { best } = advised('canvas-builder', 'sidebar', { behaviours: ['enlarge'] })
    expect(best).toMatchObject({
      ends: 'shown',
      losses: expect.arrayContaining(['size', 'growth', 'enlarge']) as string[],
    })
    expect(about('canvas-builder', null, 'inline').losses).toContain('overPage')
  })
  it('says nothing that is lost there', () => {
    const { why } = advised('canvas-builder', 'main').best
    expect(why).not.toContain('keeps its own height')
    expect(why).toContain('its height is fixed')
  })
  it('where only addresses are taken: the address', () => {
    const only = {
      ...profiles['section-builder']!,
      boxes: profiles['section-builder']!.boxes.filter(({ id }) => id === 'address'),
    }
    expect(advise(only, setting('main')).best).toMatchObject({ method: 'link', box: { id: 'address' } })
  })
  it('what the policy refuses is said with the rule that lets it through', () => {
    const { best, ask } = advised('hosted-shop', 'main', { refused: refusedBy(profiles['hosted-shop']!.policy!) })
    expect(best).toMatchObject({ ends: 'blocked', rule: expect.stringContaining(origin) as string })
    expect(ask).toContain(best.rule!)
    // Once it is let in, the script is the best of it: that is what is asked for, and not the tag.
    expect(best.method).toBe('inline')
    expect(
      advised('hosted-shop', 'sidebar', { selector: true, refused: refusedBy(profiles['hosted-shop']!.policy!) }).best
        .method,
    ).toBe('inline')
    const open = advised('hosted-shop', 'main', { refused: refusedBy(`default-src 'self' ${origin}`) })
    expect(open.best).toMatchObject({ method: 'inline', ends: 'shown' })
  })
  it('never says that it shows in a box that would harm the snippet', () => {
    for (const p of profileList)
      for (const region of regionIds)
        for (const method of methodIds) {
          const { ends, box } = about(p.id, region, method)
          if (ends !== 'shown' || method === 'link' || method === 'shortcode') continue
          expect(
            methods[method].needs.filter((need) => (box!.treats as Record<string, string>)[need] !== 'keeps'),
          ).toEqual([])
        }
  })
  it('takes a picture, or what has to be pressed, only where nothing else shows', () => {
    for (const p of profileList)
      for (const region of regionIds) {
        const { best, others } = advise(p, setting(region, { pictured: true }))
        const isLast = (one: MethodId) => one === 'picture' || one === 'opener'
        if (isLast(best.method) && best.ends === 'shown')
          expect(others.filter(({ method, ends }) => ends === 'shown' && !isLast(method))).toEqual([])
      }
  })
  it('answers by name which box to use, wherever there is one', () => {
    for (const p of profileList)
      for (const region of regionIds)
        for (const method of methodIds)
          expect(about(p.id, region, method).box === null).toBe(boxesFor(p, region, method).length === 0)
  })
  it('leaves no blank open', () => {
    for (const p of profileList)
      for (const region of [...regionIds, null])
        for (const one of [advised(p.id, region).best, ...advised(p.id, region).others])
          expect(one.why).not.toMatch(/[{}]|undefined/)
  })
})

describe('steps', () => {
  const text = (id: string, cacheMinutes = 360, box: string | null = 'Code box') =>
    stepsFor(profiles[id]!, { page: 'Timetable', region: 'sidebar', box, cacheMinutes }).map((s) =>
      s.parts.map((p) => p.text).join(''),
    )

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
  it('name no pattern as if it were a page', () => {
    const open = (path: string) =>
      stepsFor(profiles['hand-coded']!, {
        page: 'Every page',
        path,
        region: 'footer',
        box: 'Code box',
        cacheMinutes: 0,
      })[0]!
        .parts.map(({ text }) => text)
        .join('')
    expect(open('/*')).toBe('Open what all pages share at the editing desk.')
    expect(open('/news/*')).toBe('Open the pages below /news/ at the editing desk.')
    expect(open('/news')).toBe('Open Every page at the editing desk.')
  })
  it('leave the cache out where there is none', () => expect(text('hand-coded', 0).join(' ')).not.toMatch(/cache/))
  it('fill every blank of every profile', () => {
    for (const { id } of profileList) expect(text(id, 60, null).join(' ')).not.toMatch(/[{}*]/)
  })
  it('say how large a frame is drawn, for each device that differs, and for one size for all', () => {
    const frame = profiles['canvas-builder']!.boxes.find(({ id }) => id === 'embed')!
    const sizes = drawnSizes(frame, { desktop: 640, tablet: 408, phone: 350 }, { height: 300, tablet: 340, phone: 400 })
    // 15 % more than was worked out, in tens: lines may break earlier.
    expect(sizes).toEqual({
      desktop: { width: 640, height: 350 },
      tablet: { width: 408, height: 400 },
      phone: { width: 350, height: 460 },
    })
    const [paste] = stepsFor(profiles['canvas-builder']!, {
      page: 'Home',
      region: 'main',
      box: 'Code frame',
      cacheMinutes: 0,
      drawn: sizes,
    }).filter(({ id }) => id === 'paste')
    const whole = paste!.parts.map(({ text }) => text).join('')
    expect(whole).toContain(
      'Draw it 640 px wide and 350 px high, on tablets 408 by 400 px, on phones 350 by 460 px. If all devices share one height, make it 460 px.',
    )
  })
  it('and nothing of a size where the editor gives none, or its frames have one', () => {
    const widths = { desktop: 640, tablet: null, phone: null }
    const boxes = profileList.flatMap(({ boxes }) => boxes)
    const drawn = boxes.filter((box) => drawnSizes(box, widths, { height: 300 }))
    expect(new Set(drawn.map(({ name }) => name))).toEqual(new Set(['Code frame', 'Page frame']))
    expect(drawnSizes(drawn[0]!, widths, { height: 0 })).toBeNull()
  })
  it('ask for nothing to be allowed that is', () => {
    const steps = (mustAllow: boolean) =>
      stepsFor(profiles['hosted-shop']!, { page: 'x', region: 'main', box: null, cacheMinutes: 0, mustAllow }).map(
        ({ id }) => id,
      )
    expect([steps(true)[0], steps(false)[0]]).toEqual(['allow', 'open'])
  })
})
