import { describe, expect, it } from 'vitest'
import { counted, labels, pluralCategories, type LabelId, type LabelLanguage } from './labels'
import { languages, spokenLanguage } from './languages'

const ids = Object.keys(labels.en) as LabelId[]
const spoken = Object.keys(labels) as LabelLanguage[]
const holes = (text: string) => [...new Set(text.match(/\{\w+\}/g) ?? [])].sort()
/** Whole numbers as they stand beside a count. */
const counts = [...Array.from({ length: 220 }, (_, n) => n), 1000, 1234, 10_000]

describe('labels', () => {
  it('sixteen languages speak them', () => {
    expect(spoken).toHaveLength(16)
    expect([...new Set(Object.values(languages).map((one) => one.labels))].sort()).toEqual([...spoken].sort())
  })
  it.each(spoken)('%s: none is missing or empty, and each has the same to fill in', (language) => {
    expect(Object.keys(labels[language])).toEqual(ids)
    for (const id of ids) {
      expect(labels[language][id].trim(), id).not.toBe('')
      // A form for one alone may say it without the number.
      for (const hole of holes(labels.en[id])) expect(labels[language][id], id).toContain(hole)
      for (const hole of holes(labels[language][id])) expect(labels.en[id], id).toContain(hole)
    }
  })
  // CLDR, by way of Intl: which categories whole numbers have in a language.
  it.each(spoken)('%s: where a label has forms, it has one for every kind of whole number', (language) => {
    const rules = new Intl.PluralRules(language)
    const used = new Set(counts.map((n) => rules.select(n)))
    const needed = Math.max(...pluralCategories(language).map((one, at) => (used.has(one) ? at + 1 : 0)))
    for (const id of ids) {
      const forms = labels[language][id].split('|').length
      if (forms > 1) expect(forms, id).toBeGreaterThanOrEqual(Math.min(needed, forms === 2 ? 2 : needed))
    }
  })
  // CLDR 44, plural rules: samples of each category.
  it.each([
    ['en', 1, '1 review'],
    ['en', 2, '2 reviews'],
    ['fr', 0, '0 publication'],
    ['pl', 1, '1 opinia'],
    ['pl', 22, '22 opinie'],
    ['pl', 12, '12 opinii'],
    ['uk', 21, '21 відгук'],
    ['uk', 24, '24 відгуки'],
    ['uk', 11, '11 відгуків'],
    ['ar', 2, 'تقييمان'],
    ['ja', 3, 'クチコミ3件'],
  ] as [LabelLanguage, number, string][])('%s %d: %s', (language, n, wanted) =>
    expect(counted(labels[language][language === 'fr' ? 'posts' : 'reviews'], n, language)).toBe(wanted),
  )
  it('numbers are written as the language writes them', () =>
    expect(counted(labels.de.reviews, 1234, 'de-DE')).toBe('1.234 Bewertungen'))
  it('words of a person with one form say it for every number', () =>
    expect(counted('{n} owners say', 1, 'en-GB')).toBe('1 owners say'))
})

describe('the language of a page', () => {
  it.each([
    ['de', 'de-DE', 'de'],
    ['de-AT', 'de-AT', 'de'],
    ['EN', 'en-GB', 'en'],
    ['en_us', 'en-US', 'en'],
    ['no', 'nb-NO', 'nb'],
    ['nn', 'nb-NO', 'nb'],
    ['pt-BR', 'pt-BR', 'pt'],
    ['ar-EG', 'ar-EG', 'ar'],
    ['fo', 'en-GB', 'en'],
    ['', 'en-GB', 'en'],
    ['not a tag!', 'en-GB', 'en'],
  ])('%s is spoken as %s', (lang, tag, of) => expect(spokenLanguage(lang)).toMatchObject({ tag, labels: of }))
  it('Arabic runs from right to left', () => expect(spokenLanguage('ar').direction).toBe('rtl'))
  it.each(Object.keys(languages))('%s writes dates and numbers (Intl)', (tag) => {
    expect(Intl.DateTimeFormat.supportedLocalesOf(tag)).toHaveLength(1)
    expect(Intl.NumberFormat.supportedLocalesOf(tag)).toHaveLength(1)
  })
})
