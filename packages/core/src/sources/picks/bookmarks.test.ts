import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readBookmarks, writeBookmarks, type Bookmark } from './bookmarks'

// The de-facto Netscape bookmark format: as browsers write it, from memory, names and addresses replaced.
const FROM_BROWSER = `<!DOCTYPE NETSCAPE-Bookmark-file-1>
<!-- This is an automatically generated file.
     It will be read and overwritten.
     DO NOT EDIT! -->
<META HTTP-EQUIV="Content-Type" CONTENT="text/html; charset=UTF-8">
<TITLE>Bookmarks</TITLE>
<H1>Bookmarks</H1>
<DL><p>
    <DT><H3 ADD_DATE="1763600000" LAST_MODIFIED="0" PERSONAL_TOOLBAR_FOLDER="true">Bookmarks bar</H3>
    <DL><p>
        <DT><A HREF="https://post.example/" ADD_DATE="1763600001" ICON="data:image/png;base64,iVBO=">Skerrow Post</A>
        <DT><H3 ADD_DATE="1763600002">Knots &amp; ropes</H3>
        <DD>What we tie
        <DL><p>
            <DT><A HREF="https://knots.example/bowline?a=1&amp;b=2" ADD_DATE="1763600003000000" TAGS="knots,for &quot;beginners&quot;">The bowline &lt;nine seconds&gt;</A>
            <DD>Shown slowly,
            then once more.
            <DT><A HREF="javascript:void(0)">A tool</A>
        </DL><p>
        <DT><A HREF="https://after.example/">After the folder</A>
    </DL><p>
</DL><p>`

describe('a bookmark file', () => {
  it('is read with folders, tags, notes and dates; what is no web address is counted', () => {
    expect(readBookmarks(FROM_BROWSER)).toEqual({
      skipped: 1,
      bookmarks: [
        {
          link: 'https://post.example/',
          title: 'Skerrow Post',
          note: '',
          labels: [],
          addedAt: '2025-11-20T00:53:21.000Z',
        },
        {
          link: 'https://knots.example/bowline?a=1&b=2',
          title: 'The bowline <nine seconds>',
          note: 'Shown slowly, then once more.',
          labels: ['Knots & ropes', 'knots', 'for "beginners"'],
          addedAt: '2025-11-20T00:53:23.000Z',
        },
        { link: 'https://after.example/', title: 'After the folder', note: '', labels: [], addedAt: null },
      ],
    })
  })
  it('in lower case, with its tags closed, is the same', () => {
    const closed = `<dl><dt><h3>Piers</h3></dt><dl><dt><a href="https://a.example">A</a></dt><dd>Note</dd></dl></dl>`
    expect(readBookmarks(closed)!.bookmarks).toMatchObject([{ title: 'A', note: 'Note', labels: ['Piers'] }])
  })
  // As a writer of the registry writes it: nothing escaped, and end tags in small letters.
  it('of another writer is read', () => {
    const theirs = `<DL><p>
    <DT><H3>Islands & "more"</H3>
    <DL><p>
        <DT><A HREF="http://a.example/?a=1&b=2">A pier & a boat</a>
        <DT><H3>Sub</H3>
        <DL><p>
            <DT><A HREF="https://b.example/">B</a>
        </DL><p>
        <DT><A HREF="https://c.example/">C</a>
        <DD>A note
    </DL><p>
    <DT><A HREF="https://loose.example/">Loose</a>
</DL><p>`
    expect(readBookmarks(theirs)!.bookmarks.map(({ title, note, labels }) => [title, note, ...labels])).toEqual([
      ['A pier & a boat', '', 'Islands & "more"'],
      ['B', '', 'Islands & "more"', 'Sub'],
      ['C', 'A note', 'Islands & "more"'],
      ['Loose', ''],
    ])
  })
  it.each(['', 'Just words', '<p><a href="https://a.example">A page</a></p>', '{"roots":{}}'])(
    'what is none is told: %j',
    (text) => expect(readBookmarks(text)).toBeNull(),
  )

  const word = fc
    .string({ unit: 'grapheme', minLength: 1, maxLength: 20 })
    .map((text) => text.replace(/[\s,\0\p{C}]+/gu, 'x'))
  const bookmark: fc.Arbitrary<Bookmark> = fc.record({
    link: fc.webUrl({ withQueryParameters: true, withFragments: true }).map((url) => new URL(url).href),
    title: word,
    note: fc.option(word, { nil: '' }).map((text) => text ?? ''),
    labels: fc.uniqueArray(
      word.map((text) => `l${text}`),
      { maxLength: 3 },
    ),
    addedAt: fc.option(
      fc.integer({ min: 1e9, max: 2e9 }).map((seconds) => new Date(seconds * 1000).toISOString()),
      { nil: null },
    ),
  })
  it('that is written is read back as it was, whatever stands in it', () => {
    fc.assert(
      fc.property(fc.array(bookmark, { minLength: 1, maxLength: 8 }), (bookmarks) => {
        const read = readBookmarks(writeBookmarks('Picks <of> "ours"', bookmarks))!
        const sorted = (some: readonly Bookmark[]) => some.map((one) => JSON.stringify(one)).sort()
        expect(sorted(read.bookmarks)).toEqual(sorted(bookmarks))
      }),
      { numRuns: 200 },
    )
  })
})
