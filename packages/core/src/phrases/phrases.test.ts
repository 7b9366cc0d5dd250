import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { countPhrases, findPhrases, phraseLanguages } from '.'

const say = (texts: string[], language: string | null = 'en') =>
  texts.map((text, at) => ({ id: `s:${at}`, text, language }))
const words = (texts: string[], language = 'en', most = 4) =>
  findPhrases(say(texts, language), language, most).map(({ text, count }) => `${text} ${count}`)

describe('phrases that many share', () => {
  it('are what several people say in the same words', () =>
    expect(
      words([
        'A friendly crew, and on time.',
        'Friendly crew and a dog.',
        'On time, with a friendly crew.',
        'It was on time. The coffee was cold.',
        'The coffee was fine.',
        'Never again.',
      ]),
    ).toEqual(['friendly crew 3', 'on time 3']))
  it.each([
    [
      'de',
      [
        'Sehr freundliches Personal hier.',
        'Das freundliche Personal half uns.',
        'Freundliches Personal und Kuchen.',
        'Wirklich freundliches Personal!',
      ],
      'freundliches Personal 3',
    ],
    [
      'fr',
      ['Un accueil chaleureux.', 'Quel accueil chaleureux !', 'Accueil chaleureux et bon café.'],
      'accueil chaleureux 3',
    ],
    [
      'es',
      ['Personal muy amable.', 'El personal muy amable nos ayudó.', 'Con un personal muy amable.'],
      'personal muy amable 3',
    ],
    [
      'nl',
      ['Vriendelijk personeel.', 'Heel vriendelijk personeel!', 'Het vriendelijk personeel hielp ons.'],
      'vriendelijk personeel 3',
    ],
  ])('in %s', (language, texts, phrase) => expect(words(texts, language)).toContain(phrase))
  it('do not run over the end of a sentence', () =>
    expect(words(['Good boat. Crew sang.', 'Nice boat. Crew slept.', 'Old boat. Crew left.']).join()).not.toContain(
      'boat Crew',
    ))
  it('are not the common words of any text', () =>
    expect(words(['It was very good to be there', 'It was there that we were', 'We were there and it was'])).toEqual(
      [],
    ))
  it('are looked for in one language, and not in one of which nothing is known', () => {
    const mixed = [...say(['Freundliche Crew', 'Freundliche Crew', 'Freundliche Crew'], 'de'), ...say(['x'], 'en')]
    expect(findPhrases(mixed, 'en', 3)).toEqual([])
    expect(findPhrases(mixed, 'pl', 3)).toEqual([])
    expect(phraseLanguages).toEqual(['en', 'de', 'fr', 'es', 'nl'])
  })
  it('come with two examples that have them', () => {
    const said = say(['friendly crew', 'a friendly crew', 'the friendly crew', 'no'])
    expect(findPhrases(said, 'en', 1)).toEqual([{ text: 'friendly crew', count: 3, examples: ['s:0', 's:1'] }])
  })
  it('are never invented: each stands in the texts it counts, and in no others', () => {
    const word = fc.constantFrom(
      'friendly',
      'crew',
      'On',
      'time',
      'the',
      'boat',
      'was',
      'Engraving',
      'l’accueil',
      '.',
      ',',
    )
    const text = fc.array(word, { maxLength: 12 }).map((all) => all.join(' '))
    fc.assert(
      fc.property(fc.array(text, { minLength: 3, maxLength: 30 }), (texts) => {
        for (const { text: phrase, count, examples } of findPhrases(say(texts), 'en', 6)) {
          // A second count, by plain search over words and the signs between them.
          const having = texts.filter((one) =>
            ` ${one.toLowerCase().replace(/\s+/g, ' ')} `.includes(` ${phrase.toLowerCase()} `),
          )
          expect(having).toHaveLength(count)
          for (const id of examples) expect(having).toContain(texts[Number(id.slice(2))])
        }
      }),
      { numRuns: 300 },
    )
  })
})

describe('phrases that a person chose', () => {
  it('are counted in their order, and left out where nobody said them', () =>
    expect(countPhrases(say(['On time!', 'always on time', 'late']), ['late', 'never heard', 'on time'])).toEqual([
      { text: 'late', count: 1, examples: ['s:2'] },
      { text: 'on time', count: 2, examples: ['s:0', 's:1'] },
    ]))
})
