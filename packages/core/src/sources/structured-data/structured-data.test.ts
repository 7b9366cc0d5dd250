import { describe, expect, it } from 'vitest'
import { readSource } from '../read-source'
import { SourceError } from '../source-error'
import { structuredData } from './index'
import { toFive } from './scale'

const read = (html: string) => readSource(structuredData.document!, html, 'https://kiln.example/visits')
const short = (html: string) =>
  read(html).entries.map(({ author, publishedAt, body }) => [
    author,
    publishedAt?.slice(0, 10),
    body.type === 'review' ? body.rating : 0,
    body.text,
  ])

describe('reviews that a page marks up', () => {
  // schema.org, Review: "Example 1", its names made neutral. The same in microdata, RDFa and JSON-LD, as the page gives it.
  const expected = [
    ['Ellie', '2011-04-01', 1, 'The lamp burned out and now I have to replace it.'],
    ['Lucas', '2011-03-25', 4, 'Great microwave for the price. It is small and fits in my apartment.'],
  ]
  it('in microdata', () => {
    const { title, rating, format } = read(microdata)
    expect(short(microdata)).toEqual(expected)
    expect({ title, rating, format }).toEqual({
      title: 'Kenmoor White 17" Microwave',
      rating: { mean: 3.5, count: 11 },
      format: 'microdata',
    })
  })
  it('in RDFa Lite', () => {
    const rdfa = microdata
      .replace(/itemscope itemtype="https:\/\/schema.org\/(\w+)"/g, 'typeof="$1"')
      .replaceAll('itemprop=', 'property=')
      .replace('<div typeof="Product">', '<div vocab="https://schema.org/" typeof="Product">')
    expect(short(rdfa)).toEqual(expected)
    expect(read(rdfa).format).toBe('rdfa')
  })
  it('in JSON-LD', () => {
    expect(short(`<script type="application/ld+json">${JSON.stringify(jsonLd)}</script>`)).toEqual(expected)
    expect(
      short(
        `<script type="application/ld+json">{"@context":"https://schema.org","@graph":[${JSON.stringify(jsonLd)}]}</script>`,
      ),
    ).toEqual(expected)
  })
  it('written in two ways are read once', () =>
    expect(short(`<script type="application/ld+json">${JSON.stringify(jsonLd)}</script>${microdata}`)).toHaveLength(2))
  it('with a broken block beside a good one are read from the good one', () =>
    expect(
      short(
        `<script type="application/ld+json">{"@type": oops</script><script type="application/ld+json">${JSON.stringify(jsonLd)}</script>`,
      ),
    ).toHaveLength(2))
  it('keep title, link, language, pictures and the owner’s answer', () => {
    const review = {
      '@type': 'Review',
      '@id': '#r1',
      headline: 'A fine day',
      reviewBody: 'Warm &amp; <b>friendly</b>.',
      inLanguage: 'en',
      author: { '@type': 'Person', name: 'Ada', image: '/ada.jpg' },
      image: ['/kiln.jpg', { '@type': 'ImageObject', contentUrl: 'https://kiln.example/2.jpg' }],
      reviewRating: { ratingValue: '8', bestRating: 10, worstRating: 0 },
      comment: { '@type': 'Comment', text: 'Come again.', author: { name: 'The kiln' }, datePublished: '2026-05-02' },
    }
    const [entry] = read(`<script type="application/ld+json">${JSON.stringify(review)}</script>`).entries
    expect(entry).toMatchObject({
      key: 'https://kiln.example/visits#r1',
      link: 'https://kiln.example/visits#r1',
      language: 'en',
      body: {
        rating: 4.2,
        title: 'A fine day',
        text: 'Warm & friendly.',
        authorPicture: { url: 'https://kiln.example/ada.jpg' },
        pictures: [{ url: 'https://kiln.example/kiln.jpg' }, { url: 'https://kiln.example/2.jpg' }],
        reply: { author: 'The kiln', text: 'Come again.', at: '2026-05-02T00:00:00.000Z' },
      },
    })
  })
  it('of which only the sum is told are a source without items', () =>
    expect(
      read(
        '<script type="application/ld+json">{"@type":"LocalBusiness","name":"Kiln","aggregateRating":{"@type":"AggregateRating","ratingValue":"4,6","reviewCount":"312"}}</script>',
      ),
    ).toMatchObject({ title: 'Kiln', rating: { mean: 4.6, count: 312 }, entries: [] }))
  it.each(['<h1>Hello</h1>', '', '<script type="application/ld+json">{"@type":"Recipe"}</script>'])(
    '%s has none, and says what to paste instead',
    (html) => expect(() => read(html)).toThrow(SourceError),
  )
  it('of checked claims are none', () =>
    expect(() =>
      read('<script type="application/ld+json">{"@type":"ClaimReview","reviewRating":{"ratingValue":1}}</script>'),
    ).toThrow(SourceError))
  it('that refer to themselves, or nest without end, are read to an end', () => {
    expect(
      short(
        '<div itemscope itemtype="https://schema.org/Review" itemref="x" id="x"><p itemprop="reviewBody">y</p></div>',
      ),
    ).toHaveLength(1)
    const deep = '{"@type":"Review","review":'.repeat(3000) + '1' + '}'.repeat(3000)
    expect(() => read(`<script type="application/ld+json">${deep}</script>`)).toThrow(SourceError)
  })
})

describe('a rating', () => {
  // schema.org, Rating: 1 to 5 where nothing else is said.
  it.each([
    [4, undefined, undefined, 4],
    ['4,5', undefined, undefined, 4.5],
    ['9', '10', undefined, 4.56],
    [80, 100, 0, 4.2],
    [0, undefined, undefined, 1],
    [6, undefined, undefined, null],
    ['great', undefined, undefined, null],
    [3, 3, 3, null],
  ])('%s of %s from %s is %s', (value, best, worst, stars) => expect(toFive(value, best, worst)).toBe(stars))
})

const microdata = `<div itemscope itemtype="https://schema.org/Product">
  <span itemprop="name">Kenmoor White 17" Microwave</span>
  <div itemprop="aggregateRating" itemscope itemtype="https://schema.org/AggregateRating">
   Rated <span itemprop="ratingValue">3.5</span>/5 based on <span itemprop="reviewCount">11</span> customer reviews
  </div>
  <div itemprop="review" itemscope itemtype="https://schema.org/Review">
    <span itemprop="name">Not a happy camper</span> - by <span itemprop="author">Ellie</span>,
    <meta itemprop="datePublished" content="2011-04-01">April 1, 2011
    <div itemprop="reviewRating" itemscope itemtype="https://schema.org/Rating">
      <meta itemprop="worstRating" content="1"><span itemprop="ratingValue">1</span>/<span itemprop="bestRating">5</span>stars
    </div>
    <span itemprop="reviewBody">The lamp burned out and now I have to replace it.</span>
  </div>
  <div itemprop="review" itemscope itemtype="https://schema.org/Review">
    <span itemprop="name">Value purchase</span> - by <span itemprop="author">Lucas</span>,
    <meta itemprop="datePublished" content="2011-03-25">March 25, 2011
    <div itemprop="reviewRating" itemscope itemtype="https://schema.org/Rating">
      <meta itemprop="worstRating" content="1"/><span itemprop="ratingValue">4</span>/<span itemprop="bestRating">5</span>stars
    </div>
    <span itemprop="reviewBody">Great microwave for the price. It is small and fits in my apartment.</span>
  </div>
</div>`

const jsonLd = {
  '@context': 'https://schema.org',
  '@type': 'Product',
  aggregateRating: { '@type': 'AggregateRating', ratingValue: '3.5', reviewCount: '11' },
  name: 'Kenmoor White 17" Microwave',
  review: [
    {
      '@type': 'Review',
      author: 'Ellie',
      datePublished: '2011-04-01',
      reviewBody: 'The lamp burned out and now I have to replace it.',
      name: 'Not a happy camper',
      reviewRating: { '@type': 'Rating', bestRating: '5', ratingValue: '1', worstRating: '1' },
    },
    {
      '@type': 'Review',
      author: 'Lucas',
      datePublished: '2011-03-25',
      reviewBody: 'Great microwave for the price. It is small and fits in my apartment.',
      name: 'Value purchase',
      reviewRating: { '@type': 'Rating', bestRating: '5', ratingValue: '4', worstRating: '1' },
    },
  ],
}
