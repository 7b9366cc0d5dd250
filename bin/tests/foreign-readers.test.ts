import { readdirSync, readFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { describe, expect, it } from 'vitest'
import { readers } from '../../fuzz/readers'

// What reads bytes that somebody else wrote, and where it runs. On the main loop it would hold up everybody: there only what is short, or
// what costs nothing, is read. Growth with the size of the input is measured by fuzz/growth.ts.

const root = new URL('../..', import.meta.url).pathname
const sources = (folder: string): string[] =>
  readdirSync(join(root, folder), { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && /\.ts$/.test(entry.name) && !/\.(test|d|samples)\.ts$/.test(entry.name))
    .map((entry) => relative(root, join(entry.parentPath, entry.name)))
const read = (file: string) => readFileSync(join(root, file), 'utf8')

/** Packages that take foreign text or bytes apart. */
const PARSERS =
  /from '(cheerio|parse5|htmlparser2|feedsmith|csv-parse[^']*|css-tree|css-select|css-what|sanitize-html|structured-headers|sharp|luxon|ipaddr\.js|isbot)'/

type Where = 'thread' | 'process' | 'main loop' | 'types'
/** Every file that uses one, where it runs, and on the main loop why it may. */
const table: Record<string, [Where, why?: string]> = {
  'packages/core/src/html/parse-html.ts': ['thread'],
  'packages/core/src/html/crowded-tag.ts': ['thread'],
  'packages/core/src/own-css/readable.ts': ['main loop', 'of members, 60,000 letters, in linear time'],
  'packages/core/src/own-css/scope.ts': ['main loop', 'of members, 1,500 blocks at most'],
  'packages/core/src/policy/permissions.ts': ['thread'],
  'packages/core/src/site-facts/site-map.ts': ['thread'],
  'packages/core/src/site-look/cascade.ts': ['thread'],
  'packages/core/src/site-look/from-sheets.ts': ['types'],
  'packages/core/src/sources/feed-list/index.ts': ['thread'],
  'packages/core/src/sources/feed/parse-feed.ts': ['thread'],
  'packages/core/src/sources/kept-here/read-table.ts': ['thread'],
  'packages/core/src/sources/picks/bookmarks.ts': ['types'],
  'packages/core/src/sources/picks/page-facts.ts': ['types'],
  'packages/core/src/sources/sanitise.ts': ['thread'],
  'packages/core/src/sources/structured-data/json-ld.ts': ['types'],
  'packages/core/src/sources/structured-data/markup.ts': ['types'],
  'packages/core/src/verify/body-tag.ts': ['thread'],
  'packages/core/src/verify/page.ts': ['types'],
  'packages/core/src/verify/place/css-tree.d.ts': ['types'],
  'packages/core/src/verify/place/declared.ts': ['thread'],
  'packages/core/src/verify/selector.ts': ['main loop', 'of members, 300 letters'],
  'packages/server/src/counting/visits.ts': ['main loop', 'a header, 500 letters'],
  'packages/server/src/handover/visits.ts': ['main loop', 'a header, 500 letters'],
  'packages/server/src/pictures/copying/resize.ts': ['process'],
  'packages/server/src/platform/limits/network.ts': ['main loop', 'an address'],
  'packages/server/src/platform/outbound/special-addresses.ts': ['main loop', 'an address'],
}
const LUXON = /from 'luxon'/

describe('every file that takes foreign bytes apart', () => {
  const files = ['packages/core/src', 'packages/server/src'].flatMap(sources)
  const parsing = files.filter((file) => PARSERS.test(read(file)) && !LUXON.test(read(file)))
  it('is listed with where it runs', () => {
    expect(parsing.filter((file) => !table[file])).toEqual([])
    expect(Object.keys(table).filter((file) => !files.includes(file) && !file.endsWith('.d.ts'))).toEqual([])
  })
  it('says why it may run on the main loop', () => {
    for (const [file, [where, why]] of Object.entries(table)) if (where === 'main loop') expect(why, file).toBeTruthy()
  })
  it('listed for its types imports nothing else', () => {
    for (const [file, [where]] of Object.entries(table))
      if (where === 'types' && !file.endsWith('.d.ts'))
        for (const [line] of read(file).matchAll(new RegExp(`^import .*${PARSERS.source}`, 'gm')))
          expect(line, file).toMatch(/^import type/)
  })
})

describe('what threads do', () => {
  const tasks = read('packages/server/src/platform/threads/tasks.ts')
  /** Names of values, not of types, that a file imports from the core. */
  const importedBy = (text: string) =>
    [...text.matchAll(/^import (?!type)\{([^}]*)\} from '@pebblestrand\/core[^']*'/gm)].flatMap(([, names]) =>
      names!
        .split(',')
        .map((name) => name.trim())
        .filter((name) => name && !name.startsWith('type '))
        .map((name) => name.split(' as ')[0]!),
    )
  /** Classes and tables that come with readers and read nothing by themselves. */
  const besides = new Set(['SourceError', 'TableError', 'sourceKinds', 'parsePage', 'sift', 'phrasesFor', 'roomsOf'])
  const inThreads = importedBy(tasks).filter((name) => !besides.has(name))
  it('is imported by nothing that runs on the main loop', () => {
    expect(inThreads).toContain('readSiteMap')
    const elsewhere = sources('packages/server/src')
      .filter((file) => !/\/(threads|cli|testing|demo)\//.test(file))
      .flatMap((file) => importedBy(read(file)).map((name) => ({ file, name })))
    // Of a page that a thread gave up: an empty one is judged in its place.
    const empty = { file: 'packages/server/src/checks/judge.ts', name: 'verifyPage' }
    expect(elsewhere.filter(({ name }) => inThreads.includes(name))).toEqual([empty])
  })
})

describe('readers whose growth is measured', () => {
  it('are each there once, and on the main loop read no more than a mebibyte of what anybody writes', () => {
    expect(new Set(readers.map(({ name }) => name)).size).toBe(readers.length)
    for (const { name, where, from, most } of readers)
      if (where === 'main loop' && from === 'anybody') expect(most, name).toBeLessThanOrEqual(1024 * 1024)
  })
})
