import { describe, expect, it } from 'vitest'
import { briefOf, kindList } from '.'

describe('the brief of every starter', () => {
  const sentences = Object.values(kindList).flatMap((kind) =>
    kind.starters.flatMap(({ id, settings }) =>
      briefOf(kind, kind.settings.parse(settings) as Record<string, unknown>, { sourceNames: {} }).map(
        ({ heading, pieces }) => ({ name: `${kind.id} ${id}: ${heading}`, pieces }),
      ),
    ),
  )
  it('has each setting apart from what follows it', () => {
    expect(sentences.length).toBeGreaterThan(100)
    const joined = sentences.flatMap(({ name, pieces }) =>
      pieces.flatMap((piece, at) => {
        const next = pieces[at + 1]
        if ('text' in piece || !next) return []
        const isApart = 'text' in next && /^[\s,;.:)’']/.test(next.text)
        return isApart ? [] : [`${name}: ${piece.label}`]
      }),
    )
    expect(joined).toEqual([])
  })
  it('begins each paragraph with a word', () => {
    for (const { name, pieces } of sentences) expect('text' in pieces[0]! && pieces[0].text, name).toMatch(/^[A-Z“]/)
  })
})
