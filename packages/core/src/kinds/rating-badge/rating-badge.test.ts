import { load } from 'cheerio'
import { describe, expect, it } from 'vitest'
import { drawn, drawnHeight } from '../render-widget'
import { reviewItem, type Item } from '../../items'
import { readSettings } from '../read-settings'
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
    drawn(ratingBadge, {
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

const viewOf = (settings: Partial<RatingBadgeSettings>, items: Item[] = []) => ({
  settings: RatingBadgeSettings.parse({ sources: [source], ...settings }),
  items,
  context: {
    widgetName: 'Rating',
    sources: { [source]: { title: 'Kiln', link: null, rating: { mean: 4.5, count: 40 } } },
    facts: {},
  },
})

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
    expect(dom({ click: 'link', link: 'https://kiln.example/said', target: 'new' })('a').attr()).toMatchObject({
      href: 'https://kiln.example/said',
      target: '_blank',
    })
    expect(dom({ click: 'link', link: '/what-they-say' })('a').attr('href')).toBe('/what-they-say')
    expect(() => dom({ link: 'javascript:alert(1)' })).toThrow('must be an address like example.org')
    const view = viewOf({ click: 'link' }, [reviewItem(`${source}:1`, { rating: 5 })])
    const stored = { ...view, settings: { ...view.settings, link: 'javascript:alert(1)' } }
    expect(load(drawn(ratingBadge, stored).html)('a')).toHaveLength(0)
  })
  it('leaves out what is off', () => expect(dom({ mean: false, stars: false })('.w').text()).toBe('2 reviews'))
  it('works from 90 px on', () => expect(ratingBadge.box!.fit(RatingBadgeSettings.parse({})).cellMin).toBe(90))

  const said = [
    reviewItem('a:1', { author: 'Ada Fenwick', rating: 5, text: 'Fine <b>scones</b>', language: 'en' }),
    reviewItem('a:2', { author: 'Bo', rating: null, text: 'חיכינו הרבה זמן', language: 'he' }),
  ]
  it('opens a panel with the newest reviews, without a script; a script closes it', () => {
    const view = viewOf({ click: 'panel' }, said)
    const $ = load(drawn(ratingBadge, view).html, null, false)
    expect($('details > summary.w').text()).toContain('Read them')
    expect(
      $('.pn li')
        .toArray()
        .map((one) => $(one).find('b').text()),
    ).toEqual(['Ada F.', 'Bo'])
    expect($('.pn p').first().text()).toBe('Fine <b>scones</b>')
    expect($('.pn p').last().attr()).toMatchObject({ dir: 'auto', lang: 'he' })
    expect(drawn(ratingBadge, view).behaviours).toEqual(['panel'])
    expect(ratingBadge.content!.rules(view.settings)).toContainEqual({ kind: 'cap', most: 5 })
  })
  it('is a plain badge where a panel would be empty', () =>
    expect(load(drawn(ratingBadge, viewOf({ click: 'panel' }, [])).html, null, false)('details')).toHaveLength(0))
  it('stands over the page in a corner, takes no room there, and can be closed', () => {
    const view = viewOf({ stands: 'right' })
    const { html, css, behaviours } = drawn(ratingBadge, view)
    expect(ratingBadge.presence!(view.settings)).toEqual({ overPage: true })
    expect(drawnHeight(ratingBadge, view, 300)).toBe(0)
    expect(css).toContain('right:max(16px,env(safe-area-inset-right))')
    expect(load(html, null, false)('.fl > .cx').attr()).toMatchObject({ 'aria-label': 'Close', hidden: '' })
    expect(behaviours).toEqual(['close'])
    expect(drawn(ratingBadge, viewOf({ stands: 'left', closes: false })).behaviours).toEqual([])
    expect(ratingBadge.presence!(viewOf({}).settings)).toBeNull()
  })
  it('shows the place’s picture from our own copies, and nothing where there is none', () => {
    const picture = {
      url: 'https://v.example/p.jpg',
      width: null,
      height: null,
      alt: 'x',
      own: { base: 'https://s.example/i1/a', widths: [96] },
    }
    const view = viewOf({ picture: true })
    const pictured = {
      ...view,
      context: { ...view.context, sources: { [source]: { ...view.context.sources[source]!, picture } } },
    }
    expect(load(drawn(ratingBadge, pictured).html, null, false)('img.i').attr()).toMatchObject({
      src: 'https://s.example/i1/a-96.jpg',
      alt: '',
    })
    expect(load(drawn(ratingBadge, view).html, null, false)('img')).toHaveLength(0)
  })
  it('of an earlier version opens the address it was given', () => {
    expect(readSettings(ratingBadge as never, { link: 'https://kiln.example/' }, 1)).toMatchObject({ click: 'link' })
    expect(readSettings(ratingBadge as never, { link: '' }, 1)).toMatchObject({ click: 'nothing' })
  })
})
