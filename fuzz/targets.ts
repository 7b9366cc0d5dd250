import { readSource, sanitise, plainText, SourceError, sourceKinds } from '@pebblestrand/core/sources'
import { mentionsAny } from '@pebblestrand/core/sieve'
import { readFirstPage, readSiteMap, siteMapsNamed } from '@pebblestrand/core/site-facts'
import { Plan, pageWithRoom, readSelector, verifyPage, type Look } from '@pebblestrand/core/verify'
import { fontList } from '@pebblestrand/core/look'
import { z } from 'zod'
import { AppError } from '../packages/server/src/platform/errors'
import { parse } from '../packages/server/src/platform/http/parse'

export interface Target {
  name: string
  run(text: string): void
  /** How often it goes over the text: once where it is left out. */
  passes?: number
  /** What it may throw: errors with a name and a remedy. */
  mayThrow(error: unknown): boolean
}

const base = 'https://a.example/news/'
const isTangled = (error: unknown) => error instanceof RangeError && error.message === 'The document is too tangled.'

const look = (how: Look['how'], html: string): Look => ({
  how,
  url: base,
  finalUrl: base,
  status: 200,
  headers: {},
  html,
  at: '2026-11-25T10:00:00.000Z',
  ms: 1,
  error: null,
})
const plan = Plan.parse({
  install: 'abcd-efgh',
  origin: 'https://s.example',
  placement: { region: 'sidebar', selector: 'main > .side:nth-child(2) ~ p', width: 300 },
})
const Body = z.object({ name: z.string().optional(), settings: z.record(z.string(), z.unknown()).optional() }).loose()

const words = (text: string) =>
  text
    .slice(0, 2000)
    .split(/[,;<>\n]/)
    .slice(0, 20)

/** All that reads what somebody else wrote. */
export const targets: Target[] = [
  {
    name: 'parseFeed',
    run: (text) => void readSource(sourceKinds.feed!.document!, text, base),
    mayThrow: (error) => error instanceof SourceError || isTangled(error),
  },
  {
    name: 'sanitise',
    run: (text) => {
      const clean = sanitise(text, base)
      const tags = (clean.match(/<[^>]*>/g) ?? []).join('')
      if (/<script|(?:href|src)="\s*javascript:|\son\w+=/i.test(tags))
        throw new Error(`not clean: ${clean.slice(0, 200)}`)
      plainText(text)
    },
    mayThrow: () => false,
  },
  { name: 'discover', run: (text) => void sourceKinds.feed!.document!.discover(text, base), mayThrow: isTangled },
  {
    name: 'verify',
    run: (text) => void verifyPage([plan], [look('served', text)]),
    mayThrow: isTangled,
  },
  {
    name: 'room',
    passes: 2,
    run: (text) => void pageWithRoom(text, plan.placement!, 'abcd-efgh'),
    mayThrow: isTangled,
  },
  {
    name: 'structured data',
    passes: 3,
    run: (text) => void readSource(sourceKinds['structured-data']!.document!, text, base),
    mayThrow: (error) => error instanceof SourceError || isTangled(error),
  },
  { name: 'first page', passes: 2, run: (text) => void readFirstPage(look('served', text)), mayThrow: () => false },
  {
    name: 'site map',
    run: (text) => void [readSiteMap(text), siteMapsNamed(text)],
    mayThrow: () => false,
  },
  { name: 'keywords', run: (text) => void mentionsAny(words(text))(text), mayThrow: () => false },
  { name: 'selector', run: (text) => void readSelector(text.slice(0, 300)), mayThrow: () => false },
  { name: 'font list', run: (text) => void fontList(text), mayThrow: () => false },
  {
    name: 'field walk',
    run(text) {
      let body: unknown
      try {
        body = JSON.parse(text)
      } catch {
        body = { name: text, settings: { [text.slice(0, 50)]: text.split(',') } }
      }
      parse(Body, body)
    },
    mayThrow: (error) => error instanceof AppError && error.code === 'invalid',
  },
]
