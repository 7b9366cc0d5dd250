import { FormDefinition, fromFormBody, fromJson, readResponses } from '@pebblestrand/core/forms'
import { readStarterFile } from '@pebblestrand/core/kinds'
import { linkTarget } from '@pebblestrand/core/markup'
import { scopeCss } from '@pebblestrand/core/own-css'
import { matchesPattern, patternProblem } from '@pebblestrand/core/page-patterns'
import { phrasesFor } from '@pebblestrand/core/phrases'
import { permissionFor, readPolicies } from '@pebblestrand/core/policy'
import { pageSheets, samplesFromSheets } from '@pebblestrand/core/site-look'
import { decodeBytes } from '@pebblestrand/core/sources'
import { readBookmarks } from '@pebblestrand/core/sources/bookmark-file'
import { readFeedList } from '@pebblestrand/core/sources/feed-list'
import { readPageFacts } from '@pebblestrand/core/sources/page-facts'
import { guessReading, readRows, readTable } from '@pebblestrand/core/sources/review-file'
import { spokenLanguage } from '@pebblestrand/core/words'
import { codesIn } from '../packages/server/src/forms/coupon-codes'
import { subscriberOf } from '../packages/server/src/platform/limits/network'
import { refusalOf } from '../packages/server/src/platform/outbound/refusal'
import { targets } from './targets'

/**
 * Where a reader runs. On the main loop it holds up everybody: what it reads is short, or it costs next to nothing. In a thread or a
 * process it is ended when it takes too long; in a browser it holds up whoever wrote it.
 */
export type Where = 'main loop' | 'thread' | 'process' | 'browser'

/** Something that reads what somebody else wrote. */
export interface Reader {
  name: string
  where: Where
  /** Who writes it. */
  from: 'anybody' | 'a client’s site' | 'a service' | 'a member'
  /** Letters at the most, which whoever calls it sees to. */
  most: number
  run(text: string): void
  /** What has to stand around a text for it to be looked into. */
  around?: [before: string, after: string][]
}

const base = 'https://a.example/news/'
const MiB = 1024 * 1024
const today = { today: '2026-12-01' }

/** A form with a field of each kind. */
const form = FormDefinition.parse({
  steps: [
    {
      fields: [
        { is: 'short', name: 'short', label: 'L' },
        { is: 'long', name: 'long', label: 'L' },
        { is: 'email', name: 'email', label: 'L' },
        { is: 'telephone', name: 'telephone', label: 'L' },
        { is: 'number', name: 'number', label: 'L' },
        ...(['one-of', 'several-of'] as const).map((is) => ({
          is,
          name: is,
          label: 'L',
          options: ['a', 'b', 'c'].map((value) => ({ value, words: value })),
        })),
        { is: 'tick', name: 'tick', label: 'L' },
        { is: 'date', name: 'date', label: 'L' },
        { is: 'rating', name: 'rating', label: 'L' },
        { is: 'hidden', name: 'hidden', from: 'page' },
        { is: 'consent', name: 'consent', label: 'L', required: false },
      ],
    },
  ],
})
const names = form.steps.flatMap(({ fields }) => fields.map(({ name }) => name))

/** Every reader by itself; those of pages and feeds stand in targets.ts, with what they may throw. */
const own: Reader[] = [
  {
    name: 'form body',
    where: 'main loop',
    from: 'anybody',
    most: MiB,
    run: (text) => void readResponses(form, fromFormBody(text), today),
    around: names.map((name): [string, string] => [`${name}=`, '']),
  },
  {
    name: 'form answer',
    where: 'main loop',
    from: 'anybody',
    most: MiB,
    run: (text) => void readResponses(form, Object.fromEntries(names.map((name) => [name, text])), today),
  },
  {
    name: 'form JSON',
    where: 'main loop',
    from: 'anybody',
    most: MiB,
    run: (text) => void readResponses(form, fromJson(JSON.parse(text)), today),
    around: [
      ['{"short":"', '"}'],
      ['{"several-of":[', '""]}'],
      ['[', ']'],
    ],
  },
  {
    name: 'address of a caller',
    where: 'main loop',
    from: 'anybody',
    most: 16_384,
    run: (text) => void subscriberOf(text),
  },
  {
    name: 'language of a caller',
    where: 'main loop',
    from: 'anybody',
    most: 16_384,
    run: (text) => void spokenLanguage(text),
  },
  {
    name: 'path against a pattern',
    where: 'main loop',
    from: 'anybody',
    most: 2000,
    run: (text) => void matchesPattern('/a*/:id/*b*', text),
  },
  {
    name: 'outbound address',
    where: 'main loop',
    from: 'a client’s site',
    most: 16_384,
    run: (text) => void refusalOf(text, { localhostNames: false }),
  },
  {
    name: 'link target',
    where: 'main loop',
    from: 'a client’s site',
    most: 16_384,
    run: (text) => void linkTarget(text),
  },
  {
    name: 'content security policy',
    where: 'thread',
    from: 'a client’s site',
    most: 64 * 1024,
    run: (text) => void readPolicies(text),
  },
  {
    name: 'permissions policy',
    where: 'thread',
    from: 'a client’s site',
    most: 64 * 1024,
    run: (text) => void permissionFor(text, 'fullscreen', ['https://s.example'], new URL(base)),
    around: [['fullscreen=(', ')']],
  },
  {
    name: 'bytes to text',
    where: 'main loop',
    from: 'a client’s site',
    most: 5 * MiB,
    run: (text) => void decodeBytes(Buffer.from(text)),
  },
  {
    name: 'style sheets of a page',
    where: 'thread',
    from: 'a client’s site',
    most: 2 * MiB,
    run: (text) =>
      void [
        pageSheets(text, base),
        samplesFromSheets('<main><p>x</p></main>', [{ css: text.slice(0, 200_000), url: base }]),
      ],
    around: [
      ['<style>', '</style>'],
      ['p{color:', '}'],
    ],
  },
  {
    name: 'page facts',
    where: 'thread',
    from: 'a client’s site',
    most: 5 * MiB,
    run: (text) => void readPageFacts(text, base),
  },
  {
    name: 'feed list',
    where: 'thread',
    from: 'a member',
    most: MiB,
    run: (text) => void readFeedList(text),
    around: [['<opml><body>', '</body></opml>']],
  },
  {
    name: 'bookmark file',
    where: 'thread',
    from: 'a member',
    most: MiB,
    run: (text) => void readBookmarks(text),
    around: [['<!DOCTYPE NETSCAPE-Bookmark-file-1><DL><p>', '</DL>']],
  },
  {
    name: 'table of reviews',
    where: 'thread',
    from: 'a member',
    most: MiB,
    run(text) {
      const table = readTable(text)
      readRows(table, guessReading(table))
    },
    around: [
      ['text,rating,author\n', ''],
      ['text,rating,author\n"', '",5,A'],
    ],
  },
  {
    name: 'phrases of reviews',
    where: 'thread',
    from: 'a service',
    most: 200_000,
    run: (text) =>
      void phrasesFor({ how: 'found', language: 'en', most: 5 }, [
        { id: 'a', text, language: 'en' },
        { id: 'b', text, language: 'en' },
      ]),
  },
  {
    name: 'own CSS',
    where: 'main loop',
    from: 'a member',
    most: 60_000,
    run: (text) => void scopeCss(text, { parts: ['title'], overPage: false }),
  },
  { name: 'page pattern', where: 'main loop', from: 'a member', most: 500, run: (text) => void patternProblem(text) },
  { name: 'starter file', where: 'browser', from: 'a member', most: MiB, run: (text) => void readStarterFile(text) },
  { name: 'list of codes', where: 'main loop', from: 'a member', most: MiB, run: (text) => void codesIn(text) },
]

const foreign: Record<string, Pick<Reader, 'where' | 'from' | 'most'>> = {
  parseFeed: { where: 'thread', from: 'a service', most: 5 * MiB },
  sanitise: { where: 'thread', from: 'a service', most: MiB },
  discover: { where: 'thread', from: 'a client’s site', most: 5 * MiB },
  verify: { where: 'thread', from: 'a client’s site', most: 5 * MiB },
  room: { where: 'thread', from: 'a client’s site', most: 5 * MiB },
  'structured data': { where: 'thread', from: 'a client’s site', most: 5 * MiB },
  'first page': { where: 'thread', from: 'a client’s site', most: 5 * MiB },
  'site map': { where: 'thread', from: 'a client’s site', most: 5 * MiB },
  keywords: { where: 'thread', from: 'a service', most: 200_000 },
  selector: { where: 'main loop', from: 'a member', most: 300 },
  'font list': { where: 'main loop', from: 'a client’s site', most: 2000 },
  'field walk': { where: 'main loop', from: 'anybody', most: MiB },
}

/** All of them. */
export const readers: Reader[] = [...own, ...targets.map(({ name, run }) => ({ name, run, ...foreign[name]! }))]
