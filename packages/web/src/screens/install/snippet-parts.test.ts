import { methodList } from '@pebblestrand/core/methods'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { snippetParts } from './snippet-parts'

const request = { origin: 'https://s.example', publicId: 'abcd-efgh', agency: 'T & T', width: 300, height: 210 }
const whole = (text: string) =>
  snippetParts(text)
    .flatMap((part) => part.pieces.map((piece) => piece.text))
    .join('')

describe('a snippet in coloured pieces', () => {
  it.each(methodList.map((m) => [m.id, m] as const))(
    '%s is the text itself, whatever the widget is called',
    (_id, method) => {
      fc.assert(
        fc.property(fc.string(), (name) => {
          const text = method.text({ ...request, name })
          expect(whole(text)).toBe(text)
        }),
      )
    },
  )
  it('keeps an attribute, its value and the end of the tag together', () => {
    const parts = snippetParts('<iframe src="https://s.example/f/a" loading="lazy"></iframe>')
    expect(parts.filter((p) => p.whole).map((p) => p.pieces.map((piece) => piece.text).join(''))).toEqual([
      'src="https://s.example/f/a"',
      'loading="lazy">',
    ])
  })
})
