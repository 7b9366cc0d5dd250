import type { PlatformProfile } from './profile'
import { box, headBox, keepsAll, showsAsWords } from './treatments'

export const blogHost: PlatformProfile = {
  id: 'blog-host',
  name: 'Blog host',
  boxes: [
    box({
      id: 'gadget',
      name: 'Script gadget',
      places: ['header', 'sidebar', 'footer'],
      treats: keepsAll,
      everyPage: true,
      note: 'A gadget stands on every page of the blog.',
    }),
    box({
      id: 'post',
      name: 'Post, markup view',
      places: ['main'],
      treats: { ...keepsAll, script: 'strips', address: 'links' },
      note: 'It takes scripts out of what is written.',
    }),
    box({
      id: 'written',
      name: 'Post, written view',
      places: ['main'],
      treats: { ...showsAsWords, address: 'links' },
      quotes: 'typographic',
    }),
    headBox('Design, head lines'),
  ],
  publishing: 'by page',
  caches: [],
  navigation: 'loads',
  connector: false,
  policy: null,
  steps: [
    { id: 'open', does: 'In the main column: **Posts › {page}**. Beside it: **Arrangement**.' },
    { id: 'paste', does: 'Put the snippet into the **{box}** ({region}). The post itself takes scripts out.' },
    { id: 'save', does: 'Press **Save draft**, or **Save arrangement**.' },
    { id: 'publish', does: 'Press **Renew post**, or **Use arrangement**.' },
    { id: 'cache', does: 'Clear the cache of the blog. {cache}' },
    { id: 'look', does: 'Look at the page signed out.' },
  ],
  signs: [
    {
      of: 'address',
      like: '*/feeds/posts/default*',
      says: 'the feed of its posts, at the place where blog hosts have it',
    },
    { of: 'name', like: 'blog-posts*', says: 'a column of posts' },
    { of: 'name', like: 'gadget*', says: 'gadgets beside its posts' },
    { of: 'name', like: 'post-body*', says: 'bodies of posts' },
  ],
  words: {
    publish: 'open the post and press Renew post, or press Use arrangement for a gadget',
    cache: 'in the settings of the blog',
    codeBox: 'a Script gadget; in a post, take the frame',
  },
}
