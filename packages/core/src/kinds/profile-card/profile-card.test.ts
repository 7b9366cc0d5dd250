import { load } from 'cheerio'
import { describe, expect, it } from 'vitest'
import { drawn } from '../render-widget'
import type { Item } from '../../items'
import { profileCard } from './index'
import { ProfileCardSettings } from './settings'

const id = '0b0f2a57-2f7e-4f5e-9a51-0f8d6a3f1c11'
const post = (n: number): Item => ({
  id: `${id}:${n}`,
  author: 'Orrin Kiln',
  publishedAt: '2026-11-20T09:00:00.000Z',
  link: `https://frames.example/p/${n}`,
  language: 'en',
  labels: [],
  body: {
    type: 'post',
    title: '',
    text: `Fired <${n}>`,
    pictures: [{ url: `https://frames.example/${n}.jpg`, width: 1080, height: 1080, alt: '' }],
    isClip: false,
    likes: 3,
    comments: null,
  },
})
const source = {
  title: 'Orrin <Kiln>',
  link: 'https://frames.example/@orrin',
  picture: { url: 'https://frames.example/face.jpg', width: 200, height: 200, alt: '' },
  profile: { handle: 'orrin.kiln', bio: 'Pots & plates', counts: { posts: 120, followers: 4310, following: null } },
}
const rendered = (settings: object = {}, items = [post(1), post(2)], sources: object = { [id]: source }) => {
  const whole = ProfileCardSettings.parse({ sources: [id], locale: 'en-GB', ...settings })
  const view = { settings: whole, items, context: { widgetName: 'Kiln', sources, facts: {} } } as never
  return { ...drawn(profileCard, view), $: load(drawn(profileCard, view).html), view }
}

describe('a profile card', () => {
  it('says who it is of, in numbers of the language, and leads there', () => {
    const { $, html } = rendered()
    expect(
      $('.b')
        .children()
        .map((_, one) => $(one).text())
        .get(),
    ).toEqual(['Orrin <Kiln>', '@orrin.kiln', 'Pots & plates', '120 posts · 4,310 followers', 'Follow'])
    expect($('.o').attr()).toMatchObject({ href: source.link, 'aria-label': 'Follow: Orrin <Kiln>', rel: 'noopener' })
    expect(html).not.toContain('<Kiln')
  })
  it.each([
    ['face', '.f'],
    ['name', '.n'],
    ['handle', '.h'],
    ['bio', '.x'],
    ['counts', '.k'],
    ['follow', '.o'],
  ])('%s can be off', (setting, part) => {
    expect(rendered().$(part)).toHaveLength(1)
    expect(rendered({ [setting]: false }).$(part)).toHaveLength(0)
  })
  it('shows its newest posts, which lead to the original or nowhere', () => {
    const { $ } = rendered()
    expect($('.c a').first().attr()).toMatchObject({
      href: 'https://frames.example/p/1',
      'aria-label': 'Post: Fired <1>',
    })
    expect(rendered({ click: 'nothing' }).$('.c a')).toHaveLength(0)
    expect(rendered({ count: 0 }, []).$('.l')).toHaveLength(0)
  })
  it('without posts is a card all the same; of nobody it is empty', () => {
    const { isEmpty } = profileCard.content!
    expect(isEmpty!(rendered({ count: 0 }, []).view)).toBe(false)
    expect(isEmpty!(rendered({}, [], {}).view)).toBe(true)
  })
  it('of a channel whose feed tells neither handle nor numbers leaves them out', () => {
    const channel = {
      ...source,
      profile: { handle: '', bio: 'Films', counts: { posts: null, followers: null, following: null } },
    }
    const { $ } = rendered({}, [], { [id]: channel })
    expect($('.h, .k')).toHaveLength(0)
  })
  it('nothing can be left of it but its posts', () => {
    const off = { face: false, name: false, handle: false, bio: false, counts: false, follow: false }
    expect(rendered(off).$('.d')).toHaveLength(0)
    expect(rendered(off).$('.c')).toHaveLength(2)
  })
})
