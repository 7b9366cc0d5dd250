import { describe, expect, it } from 'vitest'
import { SourceError } from '../source-error'
import { videoFeed } from './index'

const ORIGIN = 'http://moving-shore.localhost:4700'
const read = (text: string) => videoFeed.document!.read(text, `${ORIGIN}/feeds/channel/mc-1.xml`)

describe('what pasted text means', () => {
  it.each([
    [`${ORIGIN}/channel/mc-4k7t2p9x`, '/feeds/channel/mc-4k7t2p9x.xml'],
    [`${ORIGIN}/u/windleknot?sort=new`, '/feeds/user/windleknot.xml'],
    [`${ORIGIN}/list/ml-7h2j5k9l`, '/feeds/list/ml-7h2j5k9l.xml'],
    [`${ORIGIN}/watch?film=mf-1e5r9t3y&list=ml-7h2j5k9l`, '/feeds/list/ml-7h2j5k9l.xml'],
    [`${ORIGIN}/watch?film=mf-1e5r9t3y`, '/watch?film=mf-1e5r9t3y'],
    [`${ORIGIN}/w/mf-1e5r9t3y`, '/w/mf-1e5r9t3y'],
    [`<iframe src="${ORIGIN}/play/mf-1e5r9t3y" width="560"></iframe>`, '/watch?film=mf-1e5r9t3y'],
  ])('%s', (pasted, path) => expect(videoFeed.recognise(pasted)).toEqual({ what: 'address', address: ORIGIN + path }))
  it('any other address may be a feed or declare one', () =>
    expect(videoFeed.recognise('https://films.example/channel')).toEqual({
      what: 'address',
      address: 'https://films.example/channel',
    }))
})

// Like the samples of the Media RSS specification, version 1.5.1, written down from memory: a movie with a player, and one in several qualities.
const MEDIA_RSS = `<rss version="2.0" xmlns:media="http://search.yahoo.com/mrss/" xmlns:dcterms="http://purl.org/dc/terms/">
<channel><title>My Movie Review Site</title><link>http://www.foo.com</link><description>I review movies.</description>
<item><title>Movie Title: Is this a good movie?</title><link>http://www.foo.com/item1.htm</link><guid>m1</guid>
<media:content url="http://www.foo.com/trailer.mov" fileSize="12216320" type="video/quicktime" expression="sample" duration="185">
<media:player url="http://www.foo.com/player?vid=1" height="200" width="400"/>
<media:thumbnail url="http://www.foo.com/keyframe.jpg" width="75" height="50"/></media:content></item>
<item><title>In several qualities</title><link>http://www.foo.com/item2.htm</link><guid>m2</guid>
<media:group><media:content url="http://www.foo.com/song128kbps.mp4" type="video/mp4" isDefault="true"/>
<media:content url="http://www.foo.com/song64kbps.mp4" type="video/mp4" duration="90"/></media:group></item>
<item><title>Only words</title><link>http://www.foo.com/item3.htm</link><guid>m3</guid><description>No film.</description></item>
</channel></rss>`

describe('a feed of films', () => {
  it('reads duration, player and still; what has no film is left out', () => {
    const { title, entries } = read(MEDIA_RSS)
    expect(title).toBe('My Movie Review Site')
    expect(entries.map(({ key, body }) => [key, body])).toEqual([
      [
        'm1',
        {
          type: 'video',
          title: 'Movie Title: Is this a good movie?',
          text: '',
          picture: { url: 'http://www.foo.com/keyframe.jpg', width: 75, height: 50, alt: '' },
          seconds: 185,
          player: 'http://www.foo.com/player?vid=1',
        },
      ],
      ['m2', { type: 'video', title: 'In several qualities', text: '', picture: null, seconds: 90, player: null }],
    ])
  })
  it('a feed of articles is none, a channel without films is', () => {
    const bare = (items: string) => `<rss version="2.0"><channel><title>T</title>${items}</channel></rss>`
    expect(() => read(bare('<item><title>News</title></item>'))).toThrow(SourceError)
    expect(read(bare('')).entries).toEqual([])
  })
})
