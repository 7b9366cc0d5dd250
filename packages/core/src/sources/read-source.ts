import { limited, type LimitedSource } from './limits'
import type { DocumentFormat } from './source-kind'

/**
 * Reads a document as a source of one sort, each part cut to a length that can be kept.
 * @param text the decoded document; halves of surrogate pairs in it become U+FFFD
 * @param base the address it came from, for relative links; null where there is none
 * @throws SourceError
 */
export const readSource = (format: DocumentFormat, text: string, base: string | null): LimitedSource =>
  limited(format.read(text.toWellFormed(), base))
