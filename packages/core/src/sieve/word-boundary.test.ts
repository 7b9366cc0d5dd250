import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { folded, mentionsAny } from './keywords'
import { isWordBoundary } from './word-boundary'

/** Unicode 15.0.0, auxiliary/WordBreakTest.txt, its comments left off: `÷` where a word may break, `×` where not. */
const cases = readFileSync(new URL('./fixtures/word-break-test-15.0.txt', import.meta.url), 'utf8')
  .trim()
  .split('\n')
  .map((line) => {
    let text = ''
    const breaks = new Set<number>()
    for (const token of line.trim().split(/\s+/)) {
      if (token === '÷') breaks.add(text.length)
      else if (token !== '×') text += String.fromCodePoint(parseInt(token, 16))
    }
    return { line, text, breaks }
  })

const isWord = (char: string | undefined) => char !== undefined && /[\p{L}\p{N}]/u.test(char)

describe('Unicode text segmentation, WordBreakTest', () => {
  it('has all its cases', () => expect(cases).toHaveLength(1823))
  it('no phrase begins or ends within a word, and every word can be one', () => {
    const wrong: string[] = []
    let looked = 0
    for (const { line, text, breaks } of cases) {
      const isBoundary = isWordBoundary(text, null)
      let at = 0
      for (const char of text) {
        // A place between a word's letter and anything: what a keyword may begin at.
        if (at > 0 && isWord(char) && !lettersMeet(text, at)) {
          looked++
          if (isBoundary(at, 'beginning') !== breaks.has(at)) wrong.push(`${line} at ${at}`)
        }
        at += char.length
      }
    }
    expect(wrong).toEqual([])
    expect(looked).toBeGreaterThan(300)
  })
})

/** A letter right behind another sign that is a letter to people and none to the rules: rather no match than half a word. */
const lettersMeet = (text: string, at: number) => isWord([...text.slice(0, at)].at(-1))

describe('keywords in any language', () => {
  it.each([
    ['friendly crew', 'A friendly crew, on time.', 'en', true],
    ['crew', 'The crewmen sang.', 'en', false],
    ['don', 'We don’t mind.', 'en', false],
    ['cafe', 'Un café très bon', 'fr', true],
    ['CAFÉ', 'the cafe on the jetty', 'en', true],
    ['strasse', 'In der Straße', 'de', false],
    ['3.5', 'It has 3.5 stars', 'en', true],
    ['3', 'It has 3.5 stars', 'en', false],
    ['親切', '車掌さんがとても親切でした。', 'ja', true],
    ['海', '窓から海が見えて', 'ja', true],
    ['京都', '東京都庁へ行きました', 'ja', false],
    ['か', 'が', 'ja', false],
    ['ガイド', 'ガイドさんは親切', 'ja', true],
    ['ｶﾞｲﾄﾞ', 'ガイドさんは親切', 'ja', true],
    ['เรือ', 'ลูกเรือเป็นมิตร', 'th', true],
    ['ลู', 'ลูกเรือเป็นมิตร', 'th', false],
    ['อาหาร', 'อาหารอร่อยมาก', 'th', true],
    ['לטפה', 'הַכַּרְטִיסָן סיפר', 'he', false],
    ['הכרטיסן', 'הַכַּרְטִיסָן סיפר', 'he', true],
    ['مطعم', 'مَطْعَم جميل', 'ar', true],
    ['engrav*', 'Engraved by hand', 'en', true],
    ['grav*', 'Engraved by hand', 'en', false],
    ['"on time"', 'always on time.', 'en', true],
    ['“on time”', 'on times like these', 'en', false],
    ['"engrav*"', 'Engraved by hand', 'en', false],
    ['no such tag', 'no such tag here', 'not a language!', true],
  ])('%s in “%s” (%s): %s', (keyword, text, language, found) =>
    expect(mentionsAny([keyword])(text, language)).toBe(found),
  )
  it('letters of other scripts are not folded into others', () => {
    expect(folded('ガ')).not.toBe(folded('カ'))
    expect(folded('น้ำ')).toContain('น้')
    expect(folded('ÉCOLE')).toBe('ecole')
  })
})
