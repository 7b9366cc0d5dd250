import { discoverFeeds } from '../feed/discover'
import { readFeedAs } from '../feed/parse-feed'
import { SourceError } from '../source-error'
import type { ReadSource, SourceKind } from '../source-kind'
import { recognise } from './pasted'
import { videoEntry } from './video-entry'

/** Films of a channel, a user or a list: any feed with Media RSS, and the service's own addresses, ids and embed codes. */
export const videoFeed: SourceKind = {
  id: 'video-feed',
  name: 'Channel or playlist',
  gives: ['video'],
  interval: 30,
  keeps: 200,
  recognise,
  document: {
    accept: 'application/rss+xml, application/atom+xml, application/xml;q=0.9, text/html;q=0.8, */*;q=0.5',
    read,
    discover: discoverFeeds,
    usualAddresses: () => [],
  },
}

/** A feed tells no numbers. */
const NOT_SAID = { posts: null, followers: null, following: null }

function read(text: string, base: string | null): ReadSource {
  const source = readFeedAs(text, base, videoEntry, ({ description, picture }) => ({
    picture,
    profile: description || picture ? { handle: '', bio: description, counts: NOT_SAID } : null,
  }))
  // A feed of nothing at all may be a channel's that has no films yet; one of articles is none of films.
  if (!source.entries.length && readFeedAs(text, base).entries.length) throw new SourceError('no-videos')
  return source
}
