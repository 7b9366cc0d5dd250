import { load } from 'cheerio'
import { describe, expect, it } from 'vitest'
import { labels, languages } from '../words'
import { kindList } from './list'
import { drawn, drawnHeight } from './render-widget'
import { spoken, usualAround } from './spoken'

const origin = 'https://strand.example'
const kinds = Object.values(kindList).map((kind) => [kind.id, kind] as const)

describe.each(kinds)('%s', (_id, kind) => {
  const { items, facts } = kind.sample(origin)
  const view = (settings: object, around = usualAround) => ({
    settings: kind.settings.parse(settings),
    items: items.slice(0, 6),
    context: { widgetName: 'The widget', sources: {}, facts, around },
  })
  it('speaks the language of the page it stands on, unless one is fixed', () => {
    const on = (language: string, locale = 'page') => {
      const $ = load(drawn(kind, view({ locale }, { ...usualAround, language })).html, null, false)
      return $('[lang]').first().attr('lang')
    }
    expect(on('de')).toBe('de-DE')
    expect(on('de', 'fr-FR')).toBe('fr-FR')
    expect(on('xx')).toBe('en-GB')
  })
  it.each(Object.keys(languages))('in %s runs as that language runs, and every label says something', (locale) => {
    const settings = kind.settings.parse({ locale })
    const said = spoken(kind, settings, usualAround) as Record<string, Record<string, unknown>>
    for (const words of Object.values(said.labels ?? said.names ?? {})) expect(words).toBeTypeOf('string')
    const $ = load(drawn(kind, view({ locale })).html, null, false)
    expect($('[dir=rtl]').length > 0 && $('[lang]').first().attr('dir') === 'rtl').toBe(locale === 'ar')
  })
  it('has the line of whoever made it below, and room for it; none over the page', () => {
    const credit = { words: 'Kept by Tern & Tiller', link: 'https://tern.example/', look: 'ruled' as const }
    const credited = view({}, { ...usualAround, credit })
    const $ = load(drawn(kind, credited).html, null, false)
    if (kind.presence?.(credited.settings)) return expect($('[part=credit]')).toHaveLength(0)
    expect($('[part=credit] a').attr('href')).toBe('https://tern.example/')
    expect($('[part=credit]').text()).toBe('Kept by Tern & Tiller')
    if (kind.box) expect(drawnHeight(kind, credited, 500)).toBe(drawnHeight(kind, view({}), 500) + 8 + 18)
    const evil = { words: '<img src=x>', link: 'javascript:alert(1)', look: 'plain' as const }
    const html = drawn(kind, view({}, { ...usualAround, credit: evil })).html
    expect(html).not.toMatch(/<img src=x|javascript:/)
  })
})

describe('a label', () => {
  const kind = kindList['reviews']!
  const said = (own: object) =>
    (
      spoken(kind, kind.settings.parse({ locale: 'de-DE', labels: own }), usualAround) as {
        labels: Record<string, string>
      }
    ).labels
  it('says what its language says until it is reworded', () => {
    expect(said({}).write).toBe(labels.de.writeReview)
    expect(said({ count: 'was Halter sagen' }).count).toBe('was Halter sagen')
  })
  it('emptied is left out, but where it names a control', () => {
    expect(said({ count: '' }).count).toBe('')
    expect(said({ next: '' }).next).toBe(labels.de.next)
  })
})
