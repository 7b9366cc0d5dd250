import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { matchesGlob, PlatformProfile, profileList, profileSchema } from '.'

describe('profiles', () => {
  it('there are nine, each as the schema says', () => {
    expect(profileList).toHaveLength(9)
    for (const profile of profileList) expect(PlatformProfile.parse(profile)).toEqual(profile)
  })
  it('go out and come in as JSON, unchanged', () => {
    for (const profile of profileList)
      expect(PlatformProfile.parse(JSON.parse(JSON.stringify(profile)))).toEqual(profile)
  })
  it('the schema is published as it is', () =>
    expect(
      JSON.parse(readFileSync(new URL('../../../../docs/platform-profile.schema.json', import.meta.url), 'utf8')),
    ).toEqual(profileSchema()))
  it('name the field that is wrong, and what it may be', () => {
    const wrong = {
      ...profileList[0]!,
      boxes: [{ ...profileList[0]!.boxes[0]!, treats: { ...profileList[0]!.boxes[0]!.treats, script: 'eats' } }],
    }
    const { error } = PlatformProfile.safeParse(wrong)
    expect(error!.issues[0]).toMatchObject({
      path: ['boxes', 0, 'treats', 'script'],
      message: 'must be one of keeps, strips, escapes',
    })
  })
  it('name no box twice', () => {
    const [first] = profileList
    expect(PlatformProfile.safeParse({ ...first, boxes: [first!.boxes[0], first!.boxes[0]] }).success).toBe(false)
  })
})

describe('patterns of signs', () => {
  it.each([
    ['/site/plugins/strand/a.js', '*/plugins/*/*', true],
    ['/plugins.html', '*/plugins/*/*', false],
    ['Anything 4.2', '?*', true],
    ['', '?*', false],
    ['CANVAS-7', 'canvas-*', true],
    ['abcabd', '*abd', true],
    ['a', 'a**', true],
    ['ab', 'a?c', false],
  ])('%s as %s: %s', (text, pattern, fits) => expect(matchesGlob(text, pattern)).toBe(fits))

  // A second reading by the language's own patterns.
  it('agree with a regular expression', () => {
    const letters = fc.string({ unit: fc.constantFrom('a', 'b', 'A', '.') })
    const pattern = fc.string({ unit: fc.constantFrom('a', 'b', '*', '?', '.') })
    const asRegExp = (glob: string) =>
      new RegExp(`^${glob.replace(/[.]/g, '\\.').replace(/\*/g, '.*').replace(/\?/g, '.')}$`, 'is')
    fc.assert(
      fc.property(letters, pattern, (text, glob) => {
        expect(matchesGlob(text, glob)).toBe(asRegExp(glob).test(text))
      }),
    )
  })
  it('take no longer for a wicked one', () => expect(matchesGlob('a'.repeat(4000), `${'*a'.repeat(59)}*b`)).toBe(false))
})
