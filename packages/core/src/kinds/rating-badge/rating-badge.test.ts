import { load } from 'cheerio'
import { describe, expect, it } from 'vitest'
import { reviewItem, type Item } from '../../items'
import { ratingBadge } from './index'
import { RatingBadgeSettings } from './settings'

const source = '11111111-1111-4111-8111-111111111111'
const other = '22222222-2222-4222-8222-222222222222'
const dom = (
  settings: Partial<RatingBadgeSettings> = {},
  items: Item[] = [reviewItem(`${source}:1`, { rating: 5 }), reviewItem(`${source}:2`, { rating: 4 })],
  ratings: Record<string, { mean: number; count: number } | null> = {},
) =>
  load(
    ratingBadge.render({
      settings: RatingBadgeSettings.parse({ sources: [source], ...settings }),
      items,
      context: {
        widgetName: 'Rating',
        sources: Object.fromEntries(
          Object.entries(ratings).map(([id, rating]) => [id, { title: '', link: null, rating }]),
        ),
        facts: {},
      },
    }).html,
    null,
    false,
  )

describe('a rating badge', () => {
  it('says mean, stars and count, one named thing', () => {
    const $ = dom({ label: 'Guests say' })
    expect($('.w').attr()).toMatchObject({ role: 'group', 'aria-label': 'Rating', lang: 'en-GB' })
    expect($('.w').text()).toBe('Guests say 4.5  2 reviews')
    expect($('.s').attr('aria-label')).toBe('4.5 of 5 stars')
  })
  it('goes by what its sources state, each by how many it counts', () =>
    expect(
      dom({ sources: [source, other] }, [], { [source]: { mean: 4, count: 30 }, [other]: { mean: 5, count: 10 } })(
        '.w',
      ).text(),
    ).toBe('4.3  40 reviews'))
  it('goes by what is known where one source states nothing', () =>
    expect(
      dom({ sources: [source, other] }, undefined, { [source]: { mean: 1, count: 999 }, [other]: null })('.w').text(),
    ).toBe('4.5  2 reviews'))
  it('claims nothing where nothing is known', () => {
    const $ = dom({}, [reviewItem('a:b', { text: 'Words only' })])
    expect($('.w').text()).toBe('')
    expect($('.s')).toHaveLength(0)
  })
  it('leads somewhere only where it was given an address', () => {
    expect(dom({ link: 'https://kiln.example/said', target: 'new' })('a').attr()).toMatchObject({
      href: 'https://kiln.example/said',
      target: '_blank',
    })
    expect(dom({ link: 'javascript:alert(1)' })('a')).toHaveLength(0)
  })
  it('leaves out what is off', () => expect(dom({ mean: false, stars: false })('.w').text()).toBe('2 reviews'))
  it('works from 90 px on', () => expect(ratingBadge.box!.fit(RatingBadgeSettings.parse({})).cellMin).toBe(90))
})
