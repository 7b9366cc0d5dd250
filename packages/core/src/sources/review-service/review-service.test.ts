import { describe, expect, it } from 'vitest'
import { sourceKinds } from '..'
import { entryOf, reviewService, ServiceReview } from '.'

const at = 'http://harbour-voices.localhost:4700'
const ID = 'hv3c9n5r1yz8dw'

describe('what was pasted', () => {
  const byId: [string, string][] = [
    ['a map page', `${at}/map?at=57.431,-8.187&zoom=15&place=${ID}`],
    ['a search result, in its fragment', `${at}/find?q=orrin#pick=${ID}`],
    ['the id in a path', `${at}/place/${ID}/orrin-kiln-pottery`],
    ['an embed code', `<iframe src="${at}/map/embed?zoom=15&amp;place=${ID}" width="400" height="300"></iframe>`],
    [
      'an embed code among other things',
      `<div><p>Find us</p><iframe src='//harbour-voices.localhost/map/embed?place=${ID}'></iframe></div>`,
    ],
    ['a bare id', ID],
    ['a bare id in capitals, with spaces', `  ${ID.toUpperCase()}\n`],
    ['words around an id', `Place id: ${ID} (Orrin)`],
    ['a sentence with the address', `Our page is ${at}/map?place=${ID} have a look`],
    ['another site’s link that leads on', `https://out.example/?to=${encodeURIComponent(`${at}/map?place=${ID}`)}`],
    [
      'a link that leads on, twice',
      `https://a.example/?u=${encodeURIComponent(`https://b.example/?u=${encodeURIComponent(`${at}/map?place=${ID}`)}`)}`,
    ],
    ['another site’s address with the id in its query', `https://kiln.example/contact?place=${ID}`],
    ['without a scheme', `harbour-voices.localhost:4700/map?place=${ID}`],
  ]
  it.each(byId)('%s', (_, pasted) => expect(reviewService.recognise(pasted)).toEqual({ what: 'id', id: ID }))

  it('a page of the service without an id is opened', () => {
    for (const address of [`${at}/places/orrin-kiln`, `${at}/s/3c9n5`])
      expect(reviewService.recognise(address)).toEqual({ what: 'address', address })
  })
  it('plain words are searched for', () => {
    for (const words of ['Orrin Kiln Pottery', 'Kiln', 'Sel’s boat repairs, Skerrow', 'Windle Knot no. 2'])
      expect(reviewService.recognise(words)).toEqual({ what: 'words', words })
  })
  it('anything else is not its', () => {
    for (const other of [
      '',
      '  ',
      'https://kiln.example/reviews',
      'kiln.example',
      'localhost:4600/x',
      '<script src="https://x.example/a.js"></script>',
      'see https://kiln.example/ for it',
    ])
      expect(reviewService.recognise(other)).toBeNull()
  })
  it('no word and no other id is taken for one of its', () => {
    for (const not of ['hvalrossungene', 'hvabcdefghijkl', `x${ID}`, `${ID}0`, 'hv12345678901'])
      expect(reviewService.recognise(not)).toEqual({ what: 'words', words: not })
  })
  it('other sorts still take addresses, and embed codes that hold one', () => {
    expect(sourceKinds.feed!.recognise('kiln.example/news')).toEqual({
      what: 'address',
      address: 'http://kiln.example/news',
    })
    expect(sourceKinds['structured-data']!.recognise('<a href="https://kiln.example/said">read</a>')).toEqual({
      what: 'address',
      address: 'https://kiln.example/said',
    })
    expect(sourceKinds['structured-data']!.recognise('only words')).toBeNull()
  })
})

describe('places that a page names', () => {
  it('in its map embeds and links, each once', () => {
    const html = `<p><a href="${at}/map?place=hv8r5k1v3nb6wz">here</a></p><iframe src="${at}/map/embed?place=${ID}"></iframe><a href="${at}/map?place=${ID}">again</a>`
    expect(reviewService.named!(html, 'https://kiln.example/')).toEqual(['hv8r5k1v3nb6wz', ID])
  })
  it('on the service’s own pages the place itself comes first', () => {
    const html = `<head><meta name="place" content="${ID}"></head><a href="/map?place=hv8r5k1v3nb6wz">near by</a>`
    expect(reviewService.named!(html, `${at}/places/orrin-kiln`)).toEqual([ID, 'hv8r5k1v3nb6wz'])
    expect(reviewService.named!(html, 'https://kiln.example/')).toEqual([])
  })
})

it('a review of the service is an entry: text as text, times in UTC, an empty answer is none', () => {
  const entry = entryOf(
    ServiceReview.parse({
      id: 'r 1',
      author: { name: ' Greta Sund ', picture: `${at}/faces/g.png` },
      stars: 5,
      text: 'A <b>bowl</b>\n\nthat holds soup &amp; more',
      language: null,
      created: '2026-11-02T08:00:00+01:00',
      changed: '2026-11-02T08:00:00+01:00',
      pictures: [{ address: `${at}/p.jpg`, width: 1600, height: 900 }],
      reply: { text: '  ', at: null },
    }),
    `${at}/places/orrin-kiln`,
  )
  expect(entry).toMatchObject({
    key: 'r 1',
    author: 'Greta Sund',
    publishedAt: '2026-11-02T07:00:00.000Z',
    link: `${at}/places/orrin-kiln#r%201`,
    body: { rating: 5, text: 'A bowl that holds soup & more', reply: null, pictures: [{ width: 1600 }] },
  })
})
