import { load } from 'cheerio'
import { describe, expect, it } from 'vitest'
import { drawn } from '../render-widget'
import type { Item } from '../../items'
import type { Enlarged } from '../groups'
import { videos } from './index'
import { VideosSettings } from './settings'
import { clock } from './view'

const film = (n: number, more: object = {}): Item => ({
  id: `s:${n}`,
  author: null,
  publishedAt: '2026-11-20T09:00:00.000Z',
  link: `https://films.example/watch?film=${n}`,
  language: null,
  labels: [],
  body: {
    type: 'video',
    title: `Film <${n}>`,
    text: '',
    picture: { url: `https://films.example/${n}.jpg`, width: 1280, height: 720, alt: 'A still' },
    seconds: 185,
    player: `https://play.example/${n}`,
    ...more,
  },
})
const rendered = (settings: object = {}, items = [film(1), film(2)]) => {
  const whole = VideosSettings.parse(settings)
  const all = drawn(videos, { settings: whole, items, context: { widgetName: 'Films', sources: {}, facts: {} } })
  return { ...all, $: load(all.html) }
}

it.each([
  [0, '0:00'],
  [59.6, '1:00'],
  [185, '3:05'],
  [3723, '1:02:03'],
])('%i seconds are %s', (seconds, words) => expect(clock(seconds)).toBe(words))

describe('films', () => {
  it('are played over the page, and say who is asked only then; without the script the original opens', () => {
    const { $, data, html } = rendered()
    expect($('.c a').first().attr()).toMatchObject({
      href: 'https://films.example/watch?film=1',
      'data-en': '0',
      'aria-label': 'Play: Film <1>, 3:05',
    })
    const { items } = data.enlarge as { items: Enlarged[] }
    expect(items[1]).toMatchObject({
      caption: 'Film <2>',
      player: { src: 'https://play.example/2', note: 'Plays from play.example, which is asked only now.' },
    })
    expect(html).not.toContain('play.example') // nothing of the page asks it
    expect(html).not.toContain('Film <')
  })
  it('without a player, and where that is wanted, open the original', () => {
    expect(rendered({}, [film(1, { player: null })]).$('[data-en]')).toHaveLength(0)
    const { $, behaviours } = rendered({ click: 'original', target: 'same' })
    expect($('.c a').first().attr('target')).toBe('_top')
    expect(behaviours).toEqual([])
  })
  it('length and date are shown or not', () => {
    expect(rendered().$('.d time').first().attr('datetime')).toBe('PT185S')
    expect(rendered({ length: false, date: false }).$('.d, .m')).toHaveLength(0)
    expect(rendered({}, [film(1, { seconds: null })]).$('.d')).toHaveLength(0)
  })
  it('one without a still keeps its room', () => {
    const { $ } = rendered({}, [film(1, { picture: null })])
    expect($('span.p')).toHaveLength(1)
  })
  it('come part by part where a button brings more', () => {
    const { $, more } = rendered(
      { more: '6', count: 20 },
      Array.from({ length: 14 }, (_, n) => film(n)),
    )
    expect($('.c')).toHaveLength(6)
    expect(more!.map(({ html }) => load(html)('.c').length)).toEqual([6, 2])
  })
  it('rooms kept for titles are as many whole lines as they need', () => {
    const long = film(1, {
      title: 'A very long title of a film about the harbour, the boats and the weather that comes',
    })
    expect(
      rendered({ titleLines: 3 }, [long, film(2)])
        .$('.t')
        .map((_, one) => one.attribs.class)
        .get(),
    ).toEqual(['t t3', 't t1'])
  })
})
