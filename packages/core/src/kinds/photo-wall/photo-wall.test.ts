import { load } from 'cheerio'
import { describe, expect, it } from 'vitest'
import { drawn } from '../render-widget'
import { PostBody, type Item } from '../../items'
import { sift } from '../../sieve'
import { briefOf, briefText } from '../brief'
import type { Enlarged } from '../groups'
import { siftingOf } from '../render-widget'
import { photoWall } from './index'
import { PhotoWallSettings } from './settings'

const source = '11111111-1111-4111-8111-111111111111'
const post = (n: number, more: Partial<Extract<Item['body'], { type: 'post' }>> = {}, labels: string[] = []): Item => ({
  id: `${source}:${n}`,
  author: 'Orrin Kiln Pottery',
  publishedAt: `2026-11-${String(28 - n).padStart(2, '0')}T09:00:00.000Z`,
  link: `https://frames.example/p/${n}`,
  language: null,
  labels,
  body: {
    type: 'post',
    title: '',
    text: `Post ${n} <b>& more</b>`,
    pictures: [{ url: `https://frames.example/${n}.jpg`, width: 1080, height: 720, alt: '' }],
    isClip: false,
    likes: 1200,
    comments: 3,
    ...more,
  },
})
const posts = Array.from({ length: 10 }, (_, n) => post(n))
const context = {
  widgetName: 'From the kiln',
  facts: {},
  sources: {
    [source]: {
      title: 'Orrin Kiln Pottery',
      link: 'https://frames.example/@orrin.kiln',
      picture: { url: 'https://frames.example/face.jpg', width: null, height: null, alt: '' },
      profile: {
        handle: 'orrin.kiln',
        bio: 'Stoneware & patience',
        counts: { posts: 44, followers: 9830, following: null },
      },
    },
  },
}
const rendered = (settings: Record<string, unknown> = {}, items = posts) => {
  const whole = PhotoWallSettings.parse({ sources: [source], ...settings })
  const all = drawn(photoWall, { settings: whole, items, context })
  return { ...all, $: load(all.html) }
}

describe('a photo wall as HTML', () => {
  it('a post is enlarged; without the script its original opens', () => {
    const { $, behaviours, data } = rendered()
    const first = $('.c').first().find('a')
    expect(first.attr()).toMatchObject({
      href: 'https://frames.example/p/0',
      target: '_blank',
      'data-en': '0',
      'aria-label': 'Enlarge: Post by Orrin Kiln Pottery, Post 0 <b>& more</b>',
    })
    expect(behaviours).toEqual(['enlarge'])
    const { items } = data.enlarge as { items: Enlarged[] }
    expect(items).toHaveLength(10)
    expect(items[0]).toMatchObject({ caption: 'Post 0 <b>& more</b>', link: 'https://frames.example/p/0' })
  })
  it('opens the original, does nothing, or follows a link of its own before all', () => {
    expect(rendered({ click: 'original', target: 'same' }).$('.c a').first().attr('target')).toBe('_top')
    expect(rendered({ click: 'nothing' }).$('.c a')).toHaveLength(0)
    const own = rendered({ click: 'nothing', ownLinks: [{ id: `${source}:2`, url: 'https://kiln.example/shop' }] })
    expect(own.$('.c a').attr('href')).toBe('https://kiln.example/shop')
    expect(own.$('.c a').parent().index()).toBe(2)
  })
  it('nothing of a caption becomes markup', () => {
    const { html } = rendered({ caption: 'below', hover: 'both' })
    expect(html).not.toContain('<b>& more')
    expect(html).toContain('Post 0 &lt;b&gt;&amp; more&lt;/b&gt;')
  })
  it('counts are said where the service tells them, by the language of the widget', () => {
    const { $ } = rendered({ counts: true, locale: 'de-DE' })
    expect($('.n').first().text()).toBe('gefällt 1.200 Mal · 3 Kommentare')
    expect(rendered({ counts: true }, [post(1, { likes: null, comments: null })]).$('.n')).toHaveLength(0)
  })
  it('several pictures and clips say so; a post without a picture is left out', () => {
    const [picture] = PostBody.parse(posts[0]!.body).pictures
    const { $ } = rendered({}, [
      post(1, { pictures: [picture!, picture!] }),
      post(2, { isClip: true }),
      post(3, { pictures: [] }),
    ])
    expect($('.c')).toHaveLength(2)
    expect($('.c a').eq(0).attr('aria-label')).toContain('2 pictures')
    expect($('.c a').eq(1).attr('aria-label')).toContain('clip')
  })
  it('the profile above: in a line, centred, or only the button', () => {
    const line = rendered({ header: 'line' }).$
    expect(line('.pt').text()).toBe('Orrin Kiln Pottery @orrin.kilnStoneware & patience44 posts · 9,830 followers')
    expect(line('.fo').attr()).toMatchObject({
      href: 'https://frames.example/@orrin.kiln',
      'aria-label': 'Follow: Orrin Kiln Pottery',
    })
    expect(rendered({ header: 'centred', headerBio: false, headerCounts: false }).$('.pt p')).toHaveLength(1)
    expect(rendered({ header: 'button' }).$('.ph').text()).toBe('Follow')
    expect(rendered({ header: 'none' }).$('.ph')).toHaveLength(0)
  })
})

describe('more by a button', () => {
  it('shows some at first; the parts hold the rest, numbered on, each with what is enlarged of it', () => {
    const { $, data, more, behaviours } = rendered({ more: '6' }, [...posts, post(10), post(11), post(12)])
    expect($('.c')).toHaveLength(6)
    expect($('.lm').attr('hidden')).toBeDefined()
    expect(behaviours).toContain('more')
    expect(data.parts).toBe(2)
    expect(more!.map(({ html }) => load(html)('.c').length)).toEqual([6, 1])
    expect(load(more![1]!.html)('[data-en]').attr('data-en')).toBe('12')
    expect((more![0]!.data.items as Enlarged[])[0]!.caption).toContain('Post 6')
  })
  it('a wall’s parts say where their cells stand, and leave those before where they are', () => {
    const { css, more } = rendered({ more: '6', layout: 'masonry', ratio: 'own' })
    expect(css).toContain('nth-child(6){')
    expect(css).not.toContain('nth-child(7){')
    expect(more![0]!.css).toContain('nth-child(7){')
    expect(more![0]!.css).not.toContain('nth-child(6){')
  })
  it('there is no button where all are there, nor on a row that is moved along', () => {
    expect(rendered({ more: '12' }).more).toBeUndefined()
    expect(rendered({ more: '6', layout: 'carousel' }).more).toBeUndefined()
  })
})

it('the sieve: tags, words, hidden and first ones, so many', () => {
  const settings = PhotoWallSettings.parse({
    labelled: ['Glaze'],
    hidden: [`${source}:1`],
    first: [`${source}:4`],
    count: 2,
  })
  const items = [0, 1, 2, 3, 4].map((n) => post(n, {}, n === 2 ? [] : ['glaze']))
  const { items: all, rules, order } = siftingOf(photoWall, settings, items)!
  expect(sift(all, rules, order, new Date('2026-11-28')).items.map(({ id }) => id)).toEqual([
    `${source}:4`,
    `${source}:0`,
  ])
})

it('reads as sentences', () =>
  expect(
    briefText(
      briefOf(photoWall, PhotoWallSettings.parse({ sources: [source] }), {
        sourceNames: { [source]: 'Orrin Kiln Pottery' },
      }),
    ),
  ).toBe(
    [
      'Up to 12 posts from Orrin Kiln Pottery, with any tag, mentioning anything, leaving out nothing, newest first.',
      'In a grid of 4 columns, as many as fit on a tablet and as many as fit on a phone, all rows, 8 px apart, set at the start; pictures square, keeping the middle; all at once; above them no profile; no caption, without likes and comments.',
      "In the site's own font, in colours of its own: text the site's own, on no background, accent the site's own, links under the pointer the accent, buttons the site's own; border 0 px, corners 4 px, no shadow, padded where it has an edge; headings as usual, text as usual, small print as usual; own CSS: none; under the pointer the caption on #1D2B34, 75 % opaque.",
      'It enlarges it.',
      "Headed by the source's title, with no description; in the language of the page; in words like “Show more”.",
    ].join('\n'),
  ))
