import { profiles } from '@pebblestrand/core/platforms'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Person, startTestSystem, type TestSystem } from './testing/system'

// Files of a person's own, which somebody may have made for harm: as large as they are let in, nested, repeated, and of the wrong sort.

let system: TestSystem
let ada: Person
let reviews: string
let picks: string
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  reviews = ((await ada.post('/api/sources/kept', { title: 'Bombs' })).body as { id: string }).id
  picks = ((await ada.post('/api/sources/picks', { title: 'Bombs' })).body as { id: string }).id
})
afterAll(() => system.stop())

const nested = (n: number) => `${'['.repeat(n)}${']'.repeat(n)}`
const within = (object: object, more: string) => `${JSON.stringify(object).slice(0, -1)},"more":${more}}`

const profile = profiles['hand-coded']!
const files: Record<string, { path: () => string; texts: Record<string, string>; more?: object }> = {
  'a platform profile': {
    path: () => '/api/platforms/file',
    texts: {
      'nested 90,000 deep': nested(90_000),
      'of one, and nested beside': within(profile, nested(80_000)),
      'of 30,000 boxes': JSON.stringify({ ...profile, boxes: Array.from({ length: 30_000 }, () => 1) }),
      'with a prototype': within(profile, '{"__proto__":{"isOwner":true}}').replace('"more"', '"__proto__"'),
      'of one word without end': JSON.stringify({ ...profile, name: 'x'.repeat(190_000) }),
      'of numbers beyond all bounds': JSON.stringify(profile).replace(/\d+/g, '9'.repeat(400)),
      'of nothing but escapes': `"${'\\u0000'.repeat(30_000)}"`,
    },
  },
  'a starter': {
    path: () => '/api/agency/starters/file',
    texts: {
      'nested 90,000 deep': nested(90_000),
      'whose settings are nested': `{"kind":"reviews","name":"x","settings":{"heading":${nested(80_000)}}}`,
      'of 20,000 settings': `{"kind":"reviews","name":"x","settings":{${Array.from({ length: 12_000 }, (_, n) => `"a${n}":1`).join(',')}}}`,
      'with a prototype': '{"kind":"__proto__","name":"x","settings":{"__proto__":{"a":1}}}',
      'of a kind that is a method': '{"kind":"constructor","name":"x","settings":{}}',
    },
  },
  'a list of feeds': {
    path: () => '/api/feed-lists/read',
    texts: {
      'nested 20,000 deep': `<opml><body>${'<outline text="a">'.repeat(20_000)}</body></opml>`,
      'of entities of entities': `<!DOCTYPE opml [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;"><!ENTITY c "&b;&b;&b;&b;&b;&b;&b;&b;&b;&b;">]><opml><body><outline text="&c;"/></body></opml>`,
      'that asks for a file': `<!DOCTYPE opml [<!ENTITY a SYSTEM "file:///etc/passwd">]><opml><body><outline text="&a;"/></body></opml>`,
      'of 20,000 feeds': `<opml><body>${'<outline xmlUrl="https://a.example/f"/>'.repeat(20_000)}</body></opml>`,
    },
  },
  'reviews in CSV': {
    path: () => `/api/sources/${reviews}/file`,
    more: { keep: 'no' },
    texts: {
      'of one cell without end': `Author,Rating,Text\na,5,"${'x'.repeat(1_000_000)}`,
      'of quotes alone': '"'.repeat(300_000),
      'of 200,000 columns': ','.repeat(200_000),
      'of 300,000 empty lines': '\n'.repeat(300_000),
      'of every separator': 'a;b,c\td|e\n'.repeat(30_000),
    },
  },
  'a bookmark file': {
    path: () => `/api/sources/${picks}/bookmarks`,
    texts: {
      'nested 50,000 deep': '<DL><DT>'.repeat(50_000),
      'of 50,000 links': `<DL>${'<DT><A HREF="https://a.example/">a</A>'.repeat(50_000)}</DL>`,
      'of one name without end': `<DL><DT><A HREF="https://a.example/">${'x'.repeat(1_000_000)}</A></DL>`,
    },
  },
}

describe.each(Object.entries(files))('%s', (_, { path, texts, more }) => {
  it.each(Object.entries(texts))('%s is read or refused, and the server goes on', async (_name, text) => {
    const answer = await ada.post(path(), { text, ...more })
    expect([200, 400, 413, 422], JSON.stringify(answer.body).slice(0, 300)).toContain(answer.status)
    expect(JSON.stringify(answer.body)).not.toContain('root:x:0')
    expect(({} as { isOwner?: boolean }).isOwner).toBeUndefined()
    expect((await ada.get('/api/session')).status).toBe(200)
  })
})
