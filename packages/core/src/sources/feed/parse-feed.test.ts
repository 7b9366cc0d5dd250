import { readFileSync } from 'node:fs'
import Parser from 'rss-parser'
import { describe, expect, it } from 'vitest'
import { ArticleBody } from '../../items'
import { parseFeed } from './parse-feed'
import { SourceError } from '../source-error'
import { isStorable } from '../../items'

/** A feed with its entries as one record each, as `pebble feed` prints them. */
function read(text: string, base: string | null) {
  const { entries, ...feed } = parseFeed(text, base)
  const items = entries.map(({ key, body, ...head }) => {
    const { type: _type, ...article } = ArticleBody.parse(body)
    return { id: key, ...head, ...article }
  })
  return { ...feed, items }
}

const fixture = (name: string) => readFileSync(new URL(`./fixtures/${name}`, import.meta.url), 'utf8')

describe('sample documents of the formats', () => {
  // The sample of the RSS 2.0 specification (RSS Advisory Board), from memory, shortened, hosts made neutral.
  it('reads the RSS 2.0 sample', () => {
    const feed = read(fixture('rss-2.0.xml'), 'http://liftoff.example/rss.xml')
    expect(feed).toMatchObject({
      format: 'rss',
      title: 'Liftoff News',
      link: 'http://liftoff.example/',
      language: 'en-us',
    })
    expect(feed.items).toHaveLength(3)
    expect(feed.items[0]).toMatchObject({
      id: 'http://liftoff.example/2003/06/03.html#item573',
      title: 'Star City',
      link: 'http://liftoff.example/news/2003/news-starcity.asp',
      publishedAt: '2003-06-03T09:39:21.000Z',
    })
    expect(feed.items[0]!.html).toContain('<a href="http://howe.example/starcity.htm">Star City</a>')
    expect(feed.items[0]!.text).toMatch(/protocol at Russia's Star City\.$/)
  })

  it('gives an item without a title its first words, and its permalink guid as link', () => {
    const [, eclipse] = read(fixture('rss-2.0.xml'), null).items
    expect(eclipse!.title).toBe('Sky watchers in Europe, Asia, and parts of Alaska and Canada will experience a…')
    expect(eclipse!.link).toBe('http://liftoff.example/2003/05/30.html#item572')
  })

  // RFC 4287 section 1.1, first example.
  it('reads the brief Atom example', () => {
    const feed = read(fixture('atom-minimal.xml'), null)
    expect(feed).toMatchObject({ format: 'atom', title: 'Example Feed', link: 'http://example.org/' })
    expect(feed.items).toEqual([
      {
        id: 'urn:uuid:1225c695-cfb8-4ebb-aaaa-80da344efa6a',
        title: 'Atom-Powered Robots Run Amok',
        text: 'Some text.',
        html: 'Some text.',
        author: null,
        publishedAt: '2003-12-13T18:30:02.000Z',
        link: 'http://example.org/2003/12/13/atom03',
        picture: null,
        language: null,
        labels: [],
      },
    ])
  })

  // RFC 4287 section 1.1, second example; persons' names made neutral.
  it('reads the extensive Atom example: published before updated, alternate link, xhtml content', () => {
    const [entry] = read(fixture('atom-extensive.xml'), null).items
    expect(entry).toMatchObject({
      id: 'tag:example.org,2003:3.2397',
      title: 'Atom draft-07 snapshot',
      link: 'http://example.org/2005/04/02/atom',
      publishedAt: '2003-12-13T12:29:29.000Z',
      author: 'The author',
      text: '[Update: The Atom draft is finished.]',
    })
    expect(entry!.html).toContain('<i>[Update: The Atom draft is finished.]</i>')
  })

  // The simple example of JSON Feed 1.1.
  it('reads the JSON Feed example', () => {
    const feed = read(fixture('json-feed.json'), null)
    expect(feed).toMatchObject({ format: 'json', title: 'My Example Feed', link: 'https://example.org/' })
    expect(feed.items.map(({ id, text, link }) => ({ id, text, link }))).toEqual([
      { id: '2', text: 'This is a second item.', link: 'https://example.org/second-item' },
      { id: '1', text: 'Hello, world!', link: 'https://example.org/initial-post' },
    ])
  })

  // The example of the RSS 1.0 specification with Dublin Core, from memory, hosts made neutral.
  it('reads RSS 1.0 with Dublin Core', () => {
    const feed = read(fixture('rss-1.0.xml'), null)
    expect(feed).toMatchObject({ format: 'rdf', title: 'XML.example' })
    expect(feed.items[0]).toMatchObject({
      title: 'Processing Inclusions with XSLT',
      author: 'A. Writer',
      publishedAt: '2000-08-09T09:00:00.000Z',
    })
    expect(feed.items[1]!.publishedAt).toBeNull()
  })

  // The media:group example of the Media RSS specification 1.5, from memory, shortened.
  it('takes the picture of Media RSS: content before thumbnail, never the sound', () => {
    const [song, still] = read(fixture('media-rss.xml'), 'http://www.foo.com/feeds/').items
    expect(song!.picture).toEqual({ url: 'http://www.foo.com/song.jpg', width: 300, height: 200, alt: '' })
    expect(still!.picture).toEqual({ url: 'http://www.foo.com/keyframe2.jpg', width: 75, height: 50, alt: '' })
  })
})

describe('against a second parser', () => {
  const other = new Parser()
  it.each(['rss-2.0.xml', 'atom-minimal.xml', 'atom-extensive.xml', 'media-rss.xml', 'rss-1.0.xml'])(
    'agrees with rss-parser on %s',
    async (name) => {
      const theirs = await other.parseString(fixture(name))
      const ours = read(fixture(name), null)
      expect(ours.title).toBe(theirs.title)
      expect(ours.items).toHaveLength(theirs.items.length)
      theirs.items.forEach((item, index) => {
        const own = ours.items[index]!
        if (item.title) expect(own.title).toBe(item.title)
        if (item.link) expect(own.link).toBe(new URL(item.link).href)
        if (item.guid) expect(own.id).toBe(item.guid)
        if (item.isoDate) expect(own.publishedAt).toBe(item.isoDate)
      })
    },
  )
})

describe('as found in the wild', () => {
  const rss = (items: string, version = '2.0') =>
    `<?xml version="1.0"?><rss version="${version}"><channel><title>T</title><link>http://a.example/</link>${items}</channel></rss>`

  it('reads RSS 0.91 without guids or dates', () => {
    const feed = read(
      rss('<item><title>One</title><link>/one</link></item><item><title>Two</title><link>/two</link></item>', '0.91'),
      'http://a.example/rss',
    )
    expect(feed.items.map((i) => [i.id, i.link])).toEqual([
      ['http://a.example/one', 'http://a.example/one'],
      ['http://a.example/two', 'http://a.example/two'],
    ])
  })

  it('resolves relative links and pictures against the feed', () => {
    const [item] = read(
      rss(
        '<item><title>x</title><link>../p</link><description>&lt;img src="i.png" width="40"&gt; &lt;a href="q"&gt;q&lt;/a&gt;</description></item>',
      ),
      'http://a.example/feeds/rss',
    ).items
    expect(item!.link).toBe('http://a.example/p')
    expect(item!.picture).toEqual({ url: 'http://a.example/i.png', width: 40, height: null, alt: '' })
    expect(item!.html).toContain('href="http://a.example/q"')
  })

  it('leaves out doubles by id and keeps the first', () => {
    const item = (title: string) => `<item><title>${title}</title><guid isPermaLink="false">same</guid></item>`
    expect(read(rss(item('newer') + item('older')), null).items.map((i) => i.title)).toEqual(['newer'])
  })

  it('tells items without guid and link apart by title and date, the same at every reading', () => {
    const text = rss('<item><title>a</title></item><item><title>b</title></item><item><title>a</title></item>')
    const ids = read(text, null).items.map((i) => i.id)
    expect(ids).toEqual([expect.stringMatching(/^hash:[0-9a-f]{32}$/), expect.stringMatching(/^hash:[0-9a-f]{32}$/)])
    expect(read(text, null).items.map((i) => i.id)).toEqual(ids)
  })

  it('gives nothing that a database refuses, whatever characters a feed carries', () => {
    const feed = JSON.stringify({
      version: 'https://jsonfeed.org/version/1.1',
      title: 'A\0B',
      items: [
        { id: 'x\0y', title: 'half \ud83d', content_text: '\0text', tags: ['\udc00tag'], authors: [{ name: 'N\0' }] },
      ],
    })
    const { title, items } = read(feed, null)
    expect({ title, ...items[0] }).toMatchObject({ id: 'xy', text: 'text', labels: ['\ufffdtag'], author: 'N' })
    for (const text of JSON.stringify({ title, items }).match(/"(?:[^"\\]|\\.)*"/g)!)
      expect(isStorable(JSON.parse(text) as string)).toBe(true)
  })

  it('takes the name out of "address (Name)"', () => {
    expect(
      read(rss('<item><title>x</title><author>a@b.example (Isla Marrow)</author></item>'), null).items[0]!.author,
    ).toBe('Isla Marrow')
  })

  it('reads a title that is HTML, and one that only looks so', () => {
    const titles = read(
      rss('<item><title>Salt &amp;amp; &lt;b&gt;rope&lt;/b&gt;</title></item><item><title>5 &lt; 6</title></item>'),
      null,
    ).items.map((i) => i.title)
    expect(titles).toEqual(['Salt & rope', '5 < 6'])
  })

  it('does not count a 1 px picture as a picture', () => {
    expect(
      read(
        rss(
          '<item><title>x</title><description>&lt;img src="http://t.example/p.gif" width="1" height="1"&gt;</description></item>',
        ),
        null,
      ).items[0]!.picture,
    ).toBeNull()
  })

  it('takes an image enclosure, not a sound', () => {
    const items =
      '<item><title>x</title><enclosure url="http://a.example/s.mp3" type="audio/mpeg" length="1"/><enclosure url="http://a.example/s.jpg" type="image/jpeg" length="1"/></item>'
    expect(read(rss(items), null).items[0]!.picture!.url).toBe('http://a.example/s.jpg')
  })

  it('refuses links that are no addresses', () => {
    expect(
      read(rss('<item><title>x</title><link>javascript:alert(1)</link></item>'), 'http://a.example/').items[0]!.link,
    ).toBeNull()
  })

  it('gathers labels from categories, tags and subjects, each once', () => {
    expect(
      read(
        rss(
          '<item><title>x</title><category>pier</category><category> pier </category><category>ferry</category></item>',
        ),
        null,
      ).items[0]!.labels,
    ).toEqual(['pier', 'ferry'])
  })

  it('takes a byte-order mark and blank lines at the front', () => {
    expect(read(`\uFEFF\n\n${rss('<item><title>x</title></item>')}`, null).items).toHaveLength(1)
  })
})

describe('what is not a feed is named', () => {
  const code = (text: string) => {
    try {
      read(text, null)
      return 'read'
    } catch (error) {
      return error instanceof SourceError ? error.code : 'other'
    }
  }
  it.each([
    ['', 'feed-empty'],
    ['   \n', 'feed-empty'],
    ['<!DOCTYPE html><html><body>Hello</body></html>', 'feed-is-html'],
    ['<!-- a --><html></html>', 'feed-is-html'],
    ['Just words.', 'feed-unknown'],
    ['{"version":"1","items":[]}', 'feed-unknown'],
    ['<svg xmlns="http://www.w3.org/2000/svg"/>', 'feed-unknown'],
  ])('%j', (text, wanted) => expect(code(text)).toBe(wanted))

  it('says what to do', () => {
    expect(() => read('', null)).toThrow('The document is empty.')
    expect(new SourceError('feed-is-html').remedy).toMatch(/address/)
  })
})
