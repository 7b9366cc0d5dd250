import { parsePage, type Page } from './page'
import { contentHash } from './content-hash'
import { fingerprint } from './fingerprint'
import type { LookId } from './look-kinds'
import type { Sight } from './sight'
import { findTraces, type Traces } from './traces'

/** One answer of a site to one way of looking, or why there was none. Header names in lower case. */
export interface Look {
  how: LookId
  url: string
  finalUrl: string
  status: number
  headers: Record<string, string>
  html: string
  /** ISO 8601. */
  at: string
  ms: number
  error: { code: string; message: string } | null
  /** What a browser measured; the markup is then the page's after its scripts ran. */
  sight?: Sight | null
}

/** A look, parsed, with every trace of ours: read once, however many installs are judged by it. */
export interface ReadLook {
  look: Look
  page: Page
  traces: Traces
  /** Of what the page says, and the same in the form of the first version; worked out when first asked for. */
  fingerprint(): string
  contentHash(): string
}

export function readLook(look: Look): ReadLook {
  const page = parsePage(look.html)
  let [known, hash]: (string | null)[] = [null, null]
  return {
    look,
    page,
    traces: findTraces(page),
    fingerprint: () => (known ??= fingerprint(page)),
    contentHash: () => (hash ??= contentHash(page)),
  }
}
