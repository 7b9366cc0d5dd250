import { load } from 'cheerio'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readSource, sourceKinds } from '../../sources'
import { reviewItem, type Item } from '../../items'
import { drawn, drawnHeight, renderWidget } from '../render-widget'
import { authorName, initialsOf, tintOf } from './author'
import { reviews } from './index'
import { ReviewsSettings } from './settings'

const source = '11111111-1111-4111-8111-111111111111'
const item = reviewItem(`${source}:1`, {
  author: 'Ada Maria Fenwick',
  rating: 4.5,
  title: 'A fine day',
  text: 'We came for an hour and stayed for the day, and everybody had time for us.',
  language: 'en',
  publishedAt: '2026-11-20T09:00:00.000Z',
  link: 'https://voices.example/1',
  reply: { author: null, text: 'Come again.', at: '2026-11-21T09:00:00.000Z' },
})
const bare = reviewItem(`${source}:2`, { rating: 3 })
const render = (
  settings: Partial<ReviewsSettings> = {},
  items: Item[] = [item, bare],
  rating = { mean: 4.36, count: 1286 },
) =>
  drawn(reviews, {
    settings: ReviewsSettings.parse({ sources: [source], ...settings }),
    items,
    context: { widgetName: 'What people say', sources: { [source]: { title: 'Kiln', link: null, rating } }, facts: {} },
  })
const dom = (settings?: Partial<ReviewsSettings>, items?: Item[]) => load(render(settings, items).html, null, false)

describe('reviews as HTML', () => {
  it('are a labelled section with a list, stars said aloud, the date for machines too', () => {
    const $ = dom()
    expect($('section').attr('aria-label')).toBe('What people say')
    expect($('h2').text()).toBe('Kiln')
    expect($('ul[role=list] > li')).toHaveLength(2)
    expect($('li .s').first().attr()).toMatchObject({ role: 'img', 'aria-label': '4.5 of 5 stars', class: 's r9' })
    expect($('time').attr('datetime')).toBe('2026-11-20T09:00:00.000Z')
  })
  it('begin with what they come to, of all there are and not of those shown', () => {
    const $ = dom()
    expect($('.v').text().trim()).toBe('4.4  1,286 reviews')
    expect($('.v .s').attr('aria-label')).toBe('4.4 of 5 stars')
    expect($('.d')).toHaveLength(0) // of most of them it is not known how many stars they have
    expect(dom({ summary: false })('.u')).toHaveLength(0)
  })
  it('show how many have how many stars where all are known, those that the sieve took out too', () => {
    const all = [item, bare, reviewItem('x:1', { rating: 1, text: 'No.' })]
    const settings = ReviewsSettings.parse({ sources: [source], stars: '3' })
    const context = { widgetName: 'W', sources: { [source]: { title: 'Kiln', link: null, rating: null } }, facts: {} }
    const $ = load(renderWidget(reviews, settings, all, context, new Date('2026-11-25')).rendered.html, null, false)
    const bars = $('.d dd').toArray()
    expect(bars.map((bar) => $(bar).text())).toEqual(['1', '0', '1', '0', '1'])
    expect($('.v').text().trim()).toBe('2.8  3 reviews')
  })
  it('open the whole of a long text in its place, without a script', () => {
    const $ = dom({ letters: 20 })
    expect($('details summary').text()).toBe('We came for an hour… Read more')
    expect($('details').contents().last().text()).toBe(item.body.text)
    expect(dom({ letters: 0 })('details')).toHaveLength(0)
  })
  it('leave out what is not there, and what is not wanted', () => {
    const $ = dom({ reply: false, date: false, avatar: 'none', name: 'none', title: 'none' })
    expect($('blockquote, time, .a, h2, .m')).toHaveLength(0)
    expect(dom({ from: false }, [bare])('li').children().length).toBe(1)
  })
  it('are said in the words and numbers of their language', () => {
    const $ = dom({
      locale: 'de-DE',
      labels: {
        ...ReviewsSettings.parse({}).labels,
        stars: '{n} von 5 Sternen',
        count: '{n} Stimmen',
        more: 'Mehr',
        reply: 'Antwort',
        write: 'x',
        source: 'Zum Original',
      },
    })
    expect($('.v').text().trim()).toBe('4,4  1.286 Stimmen')
    expect($('li .s').first().attr('aria-label')).toBe('4,5 von 5 Sternen')
    expect($('.f a').attr('href')).toBe('https://voices.example/1')
  })
  it('have no style on any element, which a strict policy would stop', () =>
    expect(dom()('[style], style, script')).toHaveLength(0))
  it('never let what was written become markup', () =>
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.constantFrom('<script>alert(1)</script>', '"><img src=x onerror=alert(1)>', '</details>'),
        ),
        (words) => {
          const evil = reviewItem('a:b', {
            author: words,
            title: words,
            text: words,
            language: words,
            reply: { author: null, text: words, at: null },
          })
          const $ = dom({ letters: 20 }, [evil])
          expect($('script, img')).toHaveLength(0)
          expect($('ul > li')).toHaveLength(1)
        },
      ),
    ))
})

describe('authors', () => {
  it.each([
    ['full', 'Ada Maria Fenwick', 'Ada Maria Fenwick'],
    ['short', 'Ada Maria Fenwick', 'Ada F.'],
    ['short', 'Ada', 'Ada'],
    ['short', '山田 太郎', '山田 太.'],
    ['initials', 'ada fenwick', 'AF'],
    ['none', 'Ada', ''],
  ] as const)('%s of %s: %s', (how, name, shown) => expect(authorName(name, how)).toBe(shown))
  it('have initials by letters as people see them', () => expect(initialsOf('Émile 👩‍🚒Z')).toBe('É👩‍🚒'))
  it('keep their tint', () => expect(tintOf('Ada', 6)).toBe(tintOf('Ada', 6)))
})

const layouts = ['list', 'grid', 'carousel', 'one'] as const

describe('reviews in a row that is moved along', () => {
  it('are a labelled group with buttons; the list can be reached by keyboard; nothing of it needs a script to be read', () => {
    const rendered = render({ layout: 'carousel' })
    const $ = load(rendered.html, null, false)
    expect($('.k').attr()).toMatchObject({ role: 'group', 'aria-roledescription': 'carousel', 'aria-label': 'Kiln' })
    expect($('.k > ul').attr()).toMatchObject({ tabindex: '0', role: 'list' })
    expect(
      $('.kb button')
        .toArray()
        .map((one) => $(one).attr('aria-label')),
    ).toEqual(['Previous', 'Next'])
    expect([rendered.behaviours, rendered.data]).toEqual([['carousel'], {}])
  })
  it('stand still unless they are asked to move, and then can be stopped', () => {
    const rendered = render({ layout: 'one', moves: '8' })
    expect(rendered.data).toEqual({ seconds: 8 })
    expect(load(rendered.html, null, false)('.ks').attr()).toMatchObject({
      'aria-label': 'Stop moving',
      'data-resume': 'Go on moving',
    })
    expect(render({ layout: 'grid', moves: '8' })).toMatchObject({ behaviours: [], data: {} })
  })
})

describe('what goes along with a review', () => {
  const face = { url: 'https://voices.example/face.png', width: null, height: null, alt: '' }
  const own = { base: 'https://strand.example/i1/abc', widths: [96, 320] }
  const pictured = reviewItem(`${source}:9`, {
    author: 'Ada Fenwick',
    rating: 5,
    text: 'Look',
    authorPicture: { ...face, own },
    pictures: [{ ...face, url: 'https://voices.example/1.jpg', own }],
  })
  it('is shown from our own copies, in two formats and several widths', () => {
    const $ = dom({ avatar: 'own' }, [pictured])
    expect($('.m picture source').attr()).toMatchObject({
      type: 'image/webp',
      srcset: 'https://strand.example/i1/abc-96.webp 96w, https://strand.example/i1/abc-320.webp 320w',
      sizes: '36px',
    })
    expect($('.ps img').attr()).toMatchObject({
      src: 'https://strand.example/i1/abc-96.jpg',
      alt: 'Picture by Ada F.',
      loading: 'lazy',
    })
  })
  it('leaves no hole where it is not there or not wanted', () => {
    const faceless = { ...pictured, body: { ...pictured.body, authorPicture: null, pictures: [] } } as Item
    expect(dom({ avatar: 'own' }, [faceless])('.a').text()).toBe('AF')
    expect(dom({ avatar: 'own' }, [faceless])('.ps')).toHaveLength(0)
    expect(dom({ avatar: 'own', name: 'none' }, [pictured])('.a')).toHaveLength(0)
    expect(dom({ pictures: false }, [pictured])('img')).toHaveLength(0)
  })
  it('says where it was written', () => {
    expect(dom({}, [item])('.f').text()).toBe('On Kiln')
    expect(dom({ from: false }, [item])('.f')).toHaveLength(0)
  })
})

describe('markup for search engines', () => {
  it('is off unless asked for, and says no more of authors than is shown', () => {
    expect(dom()('script')).toHaveLength(0)
    const $ = dom({ markup: true, name: 'initials' })
    const data = JSON.parse($('script[type="application/ld+json"]').text()) as {
      review: { author: { name: string } }[]
    }
    expect(data.review[0]!.author.name).not.toContain('Fenwick')
  })
  it('is read back as the same reviews by what reads other pages', () => {
    const { html } = render({ markup: true, name: 'full' })
    const read = readSource(sourceKinds['structured-data']!.document!, html, 'https://kiln.example/')
    expect(read.rating).toEqual({ mean: 4.4, count: 1286 })
    expect(read.title).toBe('Kiln')
    expect(read.entries.map(({ author, body }) => [author, body.type === 'review' && body.rating, body.text])).toEqual([
      [item.author, 4.5, item.body.text],
      ['Anonymous', 3, ''],
    ])
  })
  it('cannot be broken out of', () => {
    const evil = reviewItem(`${source}:1`, { rating: 1, text: '</script><img src=x onerror=alert(1)>' })
    expect(dom({ markup: true, letters: 0 }, [evil])('img')).toHaveLength(0)
  })
})

describe('the kind', () => {
  it.each(layouts)('has room for its starters in the layout %s', (layout) => {
    for (const width of [160, 300, 700]) {
      const view = {
        settings: ReviewsSettings.parse({ layout }),
        items: reviews.sample('').items,
        context: { widgetName: 'W', sources: {}, facts: {} },
      }
      expect(drawnHeight(reviews, view, width)).toBeGreaterThan(80)
    }
  })
  it('shows what its brief says, through the whole sieve', () => {
    const items = [
      item,
      bare,
      reviewItem(`${source}:3`, { rating: 2, text: 'No.' }),
      reviewItem(`${source}:4`, { rating: 5, text: 'An engraved cup', author: 'Bea' }),
    ]
    const settings = ReviewsSettings.parse({
      sources: [source],
      stars: '4',
      include: ['engrav*'],
      authorsOut: ['Nobody'],
    })
    const { sieved } = renderWidget(
      reviews,
      settings,
      items,
      { widgetName: 'W', sources: {}, facts: {} },
      new Date('2026-11-25'),
    )
    expect(sieved!.steps.map(({ label, after }) => [label, after])).toEqual([
      ['no doubles', 4],
      ['4 stars and up', 2],
      ['with text', 2],
      ['not by Nobody', 2],
      ['mention engrav*', 1],
      ['the first 6', 1],
    ])
  })
  it('every starter renders its sample, with room for it', () => {
    for (const { settings } of reviews.starters) {
      const whole = ReviewsSettings.parse(settings)
      const view = {
        settings: whole,
        items: reviews.sample('').items,
        context: { widgetName: 'W', sources: {}, facts: {} },
      }
      expect(drawn(reviews, view).html).toContain('<li class="c"')
      expect(drawnHeight(reviews, view, 300)).toBeGreaterThan(100)
    }
  })
})
