import type { FindingCode, FindingData } from './catalogue'
import { excerptAt } from './excerpt'
import { finding, type Finding, type Proof } from './finding'
import { position, type Page } from './page'
import type { Fetched } from './plan'
import type { Trace, Traces } from './traces'

/** One answer, parsed, with the traces of this install picked out. */
export interface Seen {
  which: Proof['page']
  answer: Fetched
  page: Page
  traces: Traces
  mine: Trace[]
}

const telling = ['age', 'cache-control', 'last-modified', 'etag', 'date', 'location', 'content-type', 'x-cache']

const MOST_EXCERPTS = 5

/** A finding with its proof: the lines around the nodes that show it, and the headers that bear on it. */
export function note(
  code: FindingCode,
  data: FindingData,
  seen: Seen,
  nodes: { node: Parameters<typeof position>[0] }[] = [],
): Finding {
  const excerpts = nodes.slice(0, MOST_EXCERPTS).flatMap(({ node }) => {
    const at = position(node)
    return at ? [excerptAt(seen.page.source, at.offset)] : []
  })
  const headers = Object.fromEntries(
    telling.flatMap((name) => (seen.answer.headers[name] ? [[name, seen.answer.headers[name]!]] : [])),
  )
  return finding(code, data, { page: seen.which, excerpts, headers })
}
