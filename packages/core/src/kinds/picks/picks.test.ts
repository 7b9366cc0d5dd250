import { load } from 'cheerio'
import { describe, expect, it } from 'vitest'
import { drawn } from '../render-widget'
import type { Item } from '../../items'
import { sift } from '../../sieve'
import { picks } from './index'
import { PicksSettings } from './settings'

const pick = (n: number, more: object = {}, head: object = {}): Item => ({
  id: `s:${n}`,
  author: null,
  publishedAt: '2026-11-20T09:00:00.000Z',
  link: `https://almanac.example/${n}?a=1&b=2`,
  language: 'en',
  labels: [],
  ...head,
  body: {
    type: 'pick',
    title: `Pick <${n}>`,
    text: 'Why it is "worth" reading',
    site: 'Harbour Almanac',
    picture: { url: `https://almanac.example/${n}.jpg`, width: 400, height: 600, alt: 'A cover' },
    ...more,
  },
})
const rendered = (settings: object = {}, items = [pick(1), pick(2)]) => {
  const whole = PicksSettings.parse(settings)
  const all = drawn(picks, { settings: whole, items, context: { widgetName: 'Picks', sources: {}, facts: {} } })
  return { ...all, $: load(all.html) }
}

describe('picks', () => {
  it('say title, note and site, lead where they were picked, and let nothing of it become markup', () => {
    const { $, html } = rendered()
    expect($('.c').first().find('h3').text()).toBe('Pick <1>')
    expect($('.c').first().find('a').attr()).toEqual({
      class: 'a',
      part: 'link',
      href: 'https://almanac.example/1?a=1&b=2',
      target: '_top',
    })
    expect($('.x').first().text()).toBe('Why it is "worth" reading')
    expect($('.s').first().text()).toBe('Harbour Almanac')
    expect(html).not.toContain('Pick <')
  })
  it('lead nowhere where that is wanted, or where nothing safe was picked', () => {
    expect(rendered({ click: 'nothing' }).$('a')).toHaveLength(0)
    expect(rendered({}, [pick(1, {}, { link: null })]).$('a')).toHaveLength(0)
    expect(rendered({}, [pick(1, {}, { link: 'javascript:alert(1)' })]).$('a')).toHaveLength(0)
  })
  it('without a picture stand with the first letter of their title, as a reader takes it', () => {
    const covers = (title: string) =>
      rendered({}, [pick(1, { title, picture: null })])
        .$('.i')
        .text()
    expect(['“tar', 'ölig', '👩‍🚀', '', '7 seas', 'かな'].map(covers)).toEqual(['T', 'Ö', '', '', '7', 'か'])
  })
  it.each(['beneath', 'beside', 'card'])('%s: the words are in the page for whoever reads it aloud', (words) =>
    expect(rendered({ words }).$('.c').first().text()).toBe('Pick <1>Why it is "worth" readingHarbour Almanac'),
  )
  it('with covers alone keep their title for whoever cannot see them', () =>
    expect(rendered({ words: 'none' }).$('.c').first().text()).toBe('Pick <1>'))
  it('without covers are words alone', () => {
    const { $ } = rendered({ cover: 'off', words: 'none', site: false, noteLines: 0, date: true, locale: 'en-GB' })
    expect($('.g')).toHaveLength(0)
    expect($('.c').first().text()).toBe('Pick <1>20 Nov 2026')
  })
  it('of a given width keep their shape', () => {
    const { css, $ } = rendered({ coverWidth: 120, ratio: 'portrait' })
    expect(css).toContain('.g{width:min(100%,120px)}')
    expect($('img').length).toBe(2)
  })
  it('stand in the order of their collection; labels make several widgets of it', () => {
    const items = [
      pick(1, {}, { labels: ['Knots'] }),
      pick(2, {}, { labels: ['boats'], publishedAt: '2026-11-25T09:00:00.000Z' }),
      pick(3, {}, { labels: ['knots', 'boats'] }),
    ]
    const shown = (settings: object) => {
      const whole = PicksSettings.parse(settings)
      const { rules, order } = picks.content!
      return sift(items, rules(whole), order(whole), new Date('2026-11-26')).items.map(({ id }) => id)
    }
    expect(shown({})).toEqual(['s:1', 's:2', 's:3'])
    expect(shown({ labelled: ['knots'] })).toEqual(['s:1', 's:3'])
    expect(shown({ labelled: ['boats'], order: 'newest' })).toEqual(['s:2', 's:3'])
  })
  it('come part by part where a button brings more', () => {
    const { $, more } = rendered(
      { more: '6', count: 20 },
      Array.from({ length: 14 }, (_, n) => pick(n)),
    )
    expect($('.c')).toHaveLength(6)
    expect(more!.map(({ html }) => load(html)('.c').length)).toEqual([6, 2])
  })
})
