import {
  decodeBytes,
  SourceError,
  sourceErrors,
  type Given,
  type SourceErrorCode,
  type SourceKind,
} from '@pebblestrand/core/sources'
import type { Context } from '../../platform/context'
import { OutboundError } from '../../platform/outbound/client'
import { TooTangled } from '../../platform/threads/threads'
import type { Known, SourceReading } from '../reading'
import { contentHash } from '../store-items'

/** Why a document is none of a sort and is a web page all the same, behind which one may be. */
const PAGE_CODES: ReadonlySet<SourceErrorCode> = new Set(['feed-is-html', 'no-reviews'])

const remedies: Record<string, string> = {
  refused: 'Give an address that anyone can reach.',
  timeout: 'The site may be slow just now: look again in a few minutes.',
  tangled: 'Ask whether the site has a plainer feed.',
  'too-large': 'Ask whether the site has a shorter feed.',
  'too-many-redirects': 'Open it in a browser and paste the address you end at.',
  'no-answer': 'Check the address for a slip; if it works in a browser, try again in a few minutes.',
}

/**
 * Fetches a document that should be a source of this sort. `page` where it is a web page, behind which one can be looked for.
 * @param wanted what it has to give; whatever its sort gives where that is left out
 */
export async function readDocument(
  { outbound, threads }: Pick<Context, 'outbound' | 'threads'>,
  kind: SourceKind,
  { url, etag, lastModified }: Known,
  { until, wanted }: { until?: AbortSignal; wanted?: readonly Given[] } = {},
): Promise<SourceReading> {
  try {
    const asked = {
      accept: kind.document!.accept,
      ...(etag ? { 'if-none-match': etag } : {}),
      ...(lastModified ? { 'if-modified-since': lastModified } : {}),
    }
    const answer = await outbound.get(url, asked, until)
    if (answer.status === 304) return { kind: 'unchanged' }
    if (answer.status >= 400)
      return fault(
        `status-${answer.status}`,
        `The address answers with error ${answer.status}.`,
        answer.status === 404 || answer.status === 410
          ? 'It may have moved: open the site and paste the address you find it at.'
          : 'Look again in a few minutes; if it stays, tell the site’s owner.',
      )
    const text = decodeBytes(answer.body, answer.headers['content-type'])
    const page = (code: SourceErrorCode): SourceReading => {
      const { message, remedy } = sourceErrors[code]
      return { kind: 'page', html: text, url: answer.finalUrl, fault: { code, message, remedy } }
    }
    const outcome = await threads.run('readSource', { kind: kind.id, text, base: answer.finalUrl }, new URL(url).host)
    if ('code' in outcome) {
      if (PAGE_CODES.has(outcome.code)) return page((wanted && kind.lacks?.({}, wanted)) ?? outcome.code)
      throw new SourceError(outcome.code, outcome.detail)
    }
    const lack = wanted && kind.lacks?.(outcome.read, wanted)
    if (lack) return page(lack)
    return {
      kind: 'read',
      read: outcome.read,
      url: answer.finalUrl,
      etag: answer.headers.etag ?? null,
      lastModified: answer.headers['last-modified'] ?? null,
      extent: 'window',
      hash: contentHash(answer.body),
    }
  } catch (error) {
    if (error instanceof SourceError) return fault(error.code, error.message, error.remedy)
    if (error instanceof TooTangled)
      return fault('tangled', `The document is too tangled. ${error.message}`, remedies.tangled!)
    if (error instanceof OutboundError) return fault(error.code, error.message, remedies[error.code] ?? '')
    throw error
  }
}

const fault = (code: string, message: string, remedy: string): SourceReading => ({
  kind: 'fault',
  fault: { code, message, remedy },
})
