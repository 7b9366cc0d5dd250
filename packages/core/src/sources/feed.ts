import { discoverFeeds, usualFeedAddresses } from './feed/discover'
import { parseFeed } from './feed/parse-feed'
import { pastedAddress } from './pasted'
import type { SourceKind } from './source-kind'

/** RSS 0.9x, 1.0 and 2.0, Atom, JSON Feed. */
export const feed: SourceKind = {
  id: 'feed',
  name: 'Feed',
  gives: ['article'],
  interval: 30,
  keeps: 500,
  recognise: (pasted) => pastedAddress(pasted),
  document: {
    accept:
      'application/rss+xml, application/atom+xml, application/feed+json, application/xml;q=0.9, text/html;q=0.8, */*;q=0.5',
    read: parseFeed,
    discover: discoverFeeds,
    usualAddresses: usualFeedAddresses,
  },
}
