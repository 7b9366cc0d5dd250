import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { briefOf, briefText } from './brief'
import { wordsFor, type Control } from './controls'
import { list, settingRegistry } from './setting'

const names = { sourceNames: { a: 'Harbour' } }
const link: Control = {
  type: 'object',
  saidBy: 'words',
  parts: {
    words: { label: 'Words', control: { type: 'text', most: 40, none: 'no words' } },
    to: { label: 'Address', control: { type: 'text', most: 200, none: 'nowhere' } },
  },
}

describe('values in words, by the type of their control', () => {
  it.each<[Control, unknown, string]>([
    [{ type: 'number', min: 0, max: 9, step: 1, unit: 'px' }, 4, '4 px'],
    [{ type: 'switch', on: 'shown', off: 'off' }, false, 'off'],
    [{ type: 'words', most: 5, none: 'anything' }, ['a', 'b', 'c'], 'a, b or c'],
    [{ type: 'sources', most: 5, none: 'no source yet', of: '' }, ['a', 'z'], 'Harbour and a source that is gone'],
    [link, { words: 'Tickets', to: 'https://a.example/' }, '“Tickets”'],
    [{ type: 'list', of: link, most: 3, one: 'link', none: 'no links', blank: {} }, [], 'no links'],
    [
      { type: 'list', of: link, most: 3, one: 'link', none: 'no links', blank: {} },
      [{ words: 'Tickets' }, { words: 'Map' }],
      '“Tickets” and “Map”',
    ],
  ])('%j', (control, value, words) => expect(wordsFor(control, value, names)).toBe(words))
})

describe('a list of objects as a setting', () => {
  const schema = z.object({ words: z.string().max(40), to: z.string() })
  const settings = z.strictObject({
    links: list(
      { schema, control: link, blank: { words: '', to: '' } },
      { most: 2, one: 'link', none: 'no links' },
      { label: 'Own links', paragraph: 'click', before: 'It leads to ' },
    ),
  })
  it('has a default, limits and its words in the brief', () => {
    expect(settings.parse({})).toEqual({ links: [] })
    const three = Array.from({ length: 3 }, () => ({ words: 'a', to: 'b' }))
    expect(settings.safeParse({ links: three }).error!.issues[0]!.message).toBe('takes 2 at most')
    expect(briefText(briefOf({ settings } as never, { links: [{ words: 'Map', to: '' }] }, names))).toBe(
      'It leads to “Map”.',
    )
    expect(settingRegistry.get(settings.shape.links)!.control).toMatchObject({ type: 'list', one: 'link' })
  })
})
