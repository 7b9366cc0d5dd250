import { describe, expect, it } from 'vitest'
import { entryOf, idOf, pageOf, photoService, ServicePost, streamAt, streamOf } from './index'

const ORIGIN = 'http://isle-frames.localhost:4700'

describe('what pasted text means', () => {
  it.each([
    // Addresses of pages.
    [`${ORIGIN}/@orrin.kiln`, 'posts:orrin.kiln'],
    [`${ORIGIN}/@Orrin.Kiln/`, 'posts:orrin.kiln'],
    [`${ORIGIN}/@orrin.kiln?from=share#top`, 'posts:orrin.kiln'],
    [`${ORIGIN}/@orrin.kiln/named`, 'named:orrin.kiln'],
    [`${ORIGIN}/tagged/Glaze`, 'tag:glaze'],
    [`${ORIGIN}/tagged/${encodeURIComponent('gläser')}`, 'tag:gläser'],
    ['isle-frames.localhost:4700/@brackenfold', 'posts:brackenfold'],
    [`Look at ${ORIGIN}/@tarnside.vets it is lovely`, 'posts:tarnside.vets'],
    // Embed codes.
    [
      `<blockquote data-frames="orrin.kiln"><a href="${ORIGIN}/@orrin.kiln">@orrin.kiln on Isle Frames</a></blockquote>`,
      'posts:orrin.kiln',
    ],
    ['<blockquote data-frames="orrin.kiln"></blockquote>', 'posts:orrin.kiln'],
    // Handles with and without their sign, tags with theirs.
    ['@orrin.kiln', 'posts:orrin.kiln'],
    ['  orrin.kiln ', 'posts:orrin.kiln'],
    ['brackenfold', 'posts:brackenfold'],
    ['isles_every_hour', 'posts:isles_every_hour'],
    ['#glaze', 'tag:glaze'],
    ['#Ærø', 'tag:ærø'],
  ])('%s is %s', (pasted, id) => expect(photoService.recognise(pasted)).toEqual({ what: 'id', id }))

  it('a post leads to its profile by its page', () =>
    expect(photoService.recognise(`${ORIGIN}/p/orrinkiln003`)).toEqual({
      what: 'address',
      address: `${ORIGIN}/p/orrinkiln003`,
    }))
  it('words are searched for', () =>
    expect(photoService.recognise('orrin  pottery')).toEqual({ what: 'words', words: 'orrin pottery' }))
  it.each(['', '   ', 'https://elsewhere.example/@orrin.kiln', '<p>orrin</p>', '12345'])(
    '%j is nothing of it',
    (pasted) => expect(photoService.recognise(pasted)?.what).not.toBe('id'),
  )
})

it('a stream and its text, its address and back', () => {
  for (const id of ['posts:orrin.kiln', 'named:orrin.kiln', 'tag:gläser']) {
    const stream = streamOf(id)!
    expect(idOf(stream)).toBe(id)
    expect(streamAt(pageOf(ORIGIN, stream))).toEqual(stream)
  }
  expect(streamOf('other:x')).toBeNull()
  expect(streamAt('https://elsewhere.example/@orrin.kiln')).toBeNull()
})

it('profiles and tags that a page leads to, each once', () =>
  expect(
    photoService.named!(
      `<a href="/@orrin.kiln">x</a> <a href="/tagged/glaze">#glaze</a> <a href="/@orrin.kiln">again</a> <a href="https://elsewhere.example/@nobody">y</a>`,
      `${ORIGIN}/p/1`,
    ),
  ).toEqual(['posts:orrin.kiln', 'tag:glaze']))

describe('a post', () => {
  const post = {
    id: 'p1',
    by: { handle: 'orrin.kiln', name: ' Orrin Kiln ' },
    caption: 'Blue &amp; white. <b>#Glaze</b> #glaze',
    tags: ['Glaze', 'glaze'],
    created: '2026-11-20T09:00:00+01:00',
    kind: 'clip',
    pictures: [{ address: `${ORIGIN}/drawn/pot-1-1080x1350.jpg`, width: 1080, height: 1350, alt: 'A pot' }],
    likes: 12,
    page: '/p/p1',
  }
  it('as an entry: in UTC, plain, its tags as labels, what the service does not tell as unknown', () =>
    expect(entryOf(ServicePost.parse(post), ORIGIN)).toEqual({
      key: 'p1',
      author: 'Orrin Kiln',
      publishedAt: '2026-11-20T08:00:00.000Z',
      link: `${ORIGIN}/p/p1`,
      language: null,
      labels: ['glaze'],
      body: {
        type: 'post',
        title: '',
        text: 'Blue & white. #Glaze #glaze',
        pictures: [{ url: `${ORIGIN}/drawn/pot-1-1080x1350.jpg`, width: 1080, height: 1350, alt: 'A pot' }],
        isClip: true,
        likes: 12,
        comments: null,
      },
    }))
  it('without a picture is none', () => expect(ServicePost.safeParse({ ...post, pictures: [] }).success).toBe(false))
})
