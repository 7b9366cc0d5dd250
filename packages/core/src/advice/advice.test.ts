import { describe, expect, it } from 'vitest'
import { methodIds, methods } from '../methods'
import { profiles, regionIds } from '../platforms'
import { advise, boxFor } from './advise'
import { stepsFor } from './steps'

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
          if (box) expect(methods[method].needs.filter((need) => !box.keeps[need])).toEqual([])
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
})
