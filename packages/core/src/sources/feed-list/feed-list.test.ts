import { load } from 'cheerio'
import { describe, expect, it } from 'vitest'
import { readFeedList, writeFeedList, type ListedFeed } from './index'

// The shape of OPML 2.0's sample subscription list (from memory; names and addresses replaced), and its rules of categories.
const SAMPLE = `<?xml version="1.0" encoding="ISO-8859-1"?>
<opml version="2.0">
	<head>
		<title>mySubscriptions.opml</title>
		<dateCreated>Sat, 18 Jun 2005 12:11:52 GMT</dateCreated>
		<ownerName>Mara Rask</ownerName>
		<expansionState></expansionState>
		<vertScrollState>1</vertScrollState>
	</head>
	<body>
		<outline text="Skerrow Post" description="News &amp; weather." htmlUrl="http://post.example/" language="unknown" title="Skerrow Post" type="rss" version="RSS2" xmlUrl="http://post.example/rss.xml"/>
		<outline text="Piers">
			<outline text="Gullhaven &amp; Orrin" type="rss" xmlUrl="http://piers.example/feed?a=1&amp;b=2"/>
			<outline text="Tides"><outline text="Tide tables" type="rss" xmlUrl="https://tides.example/atom.xml"/></outline>
		</outline>
		<outline text="Weather" category="/Isles/Weather,news" type="rss" xmlUrl="http://weather.example/feed"/>
		<outline text="Twice" type="rss" xmlUrl="http://post.example/rss.xml"/>
		<outline text="Another list" type="include" url="http://lists.example/more.opml"/>
	</body>
</opml>`

describe('a list of feeds', () => {
  it('is read with its folders, each feed once', () => {
    const list = readFeedList(SAMPLE)!
    expect(list.title).toBe('mySubscriptions.opml')
    expect(list.skipped).toBe(1)
    expect(list.feeds.map(({ title, folder, url }) => [folder.join(' > '), title, url])).toEqual([
      ['', 'Skerrow Post', 'http://post.example/rss.xml'],
      ['Piers', 'Gullhaven & Orrin', 'http://piers.example/feed?a=1&b=2'],
      ['Piers > Tides', 'Tide tables', 'https://tides.example/atom.xml'],
      ['Isles > Weather', 'Weather', 'http://weather.example/feed'],
    ])
    expect(list.feeds[0]!.link).toBe('http://post.example/')
  })
  it('of version 1.0, with titles alone and names in small letters, is read too', () =>
    expect(
      readFeedList('<opml version="1.0"><body><outline title="A" xmlurl="http://a.example/f"/></body></opml>')!.feeds,
    ).toMatchObject([{ title: 'A', folder: [] }]))
  it.each(['', 'words', '<rss version="2.0"><channel/></rss>', '<html><body>'])('what is none is told: %j', (text) =>
    expect(readFeedList(text)).toBeNull(),
  )

  const feeds: ListedFeed[] = [
    { url: 'http://a.example/f?x=1&y="2"', title: 'A <b> & "c"', link: null, folder: [] },
    { url: 'http://b.example/f', title: 'B', link: 'http://b.example/', folder: ['News', 'Islands & more'] },
    { url: 'http://c.example/f', title: 'Ελληνικά', link: null, folder: ['News'] },
  ].map((feed) => ({ ...feed, url: new URL(feed.url).href }))
  const written = writeFeedList('Ours <all>', feeds, new Date('2026-11-26T10:00:00Z'))
  it('that is written is read back as it was', () => {
    const back = readFeedList(written)!
    expect(back.title).toBe('Ours <all>')
    const sorted = (some: readonly ListedFeed[]) => [...some].sort((a, b) => (a.url < b.url ? -1 : 1))
    expect(sorted(back.feeds)).toEqual(sorted(feeds))
  })
  // A second parser from the registry: what OPML 2.0 requires of a subscription list (text, type, xmlUrl; version; head).
  it('has what OPML 2.0 requires, as another parser reads it', () => {
    const $ = load(written, { xml: true })
    expect($('opml').attr('version')).toBe('2.0')
    expect($('head > title').text().trim()).toBe('Ours <all>')
    expect($('head > dateCreated').text()).toBe('Thu, 26 Nov 2026 10:00:00 GMT')
    const [first, folder] = $('body > outline').toArray()
    expect(first!.attribs).toMatchObject({ type: 'rss', text: 'A <b> & "c"', xmlUrl: feeds[0]!.url })
    expect(folder!.attribs).toEqual({ text: 'News' })
    expect($('body outline outline[xmlUrl]').length).toBe(2)
  })
})
