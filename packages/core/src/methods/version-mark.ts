import { sha256 } from '@noble/hashes/sha2.js'
import { utf8ToBytes } from '@noble/hashes/utils.js'
import type { SnippetRequest } from './method'

/** Goes up when the text of a method is written otherwise than before; 1 where it never was. */
const textVersions: Record<string, number> = { frame: 2 }

/**
 * A short mark of what a snippet's text says, without what may change beside it (names, heights): a text on a page that carries
 * another one is an older text. It stands in the fragment of an address of ours, which is never sent.
 */
export function versionMark(method: string, request: SnippetRequest): string {
  const { origin, publicId, width, pinned, plays, asks, grows, drawing, opens } = request
  const own: Record<string, unknown[]> = {
    frame: plays || grows || asks ? [plays ?? false, grows ?? false, ...(asks ? [true] : [])] : [],
    picture: drawing ? [true] : [],
    opener: opens && opens.by !== 'link' ? [opens.by, opens.picture ?? ''] : [],
  }
  const said = JSON.stringify([
    textVersions[method] ?? 1,
    method,
    origin,
    publicId,
    width,
    pinned?.version ?? null,
    ...(own[method] ?? []),
  ])
  return [...sha256(utf8ToBytes(said.toWellFormed())).slice(0, 4)]
    .map((byte) => byte.toString(36).padStart(2, '0'))
    .join('')
    .slice(0, 6)
}

/** The mark that a text carries, in whatever method's way; null where it has none. */
export const markOfText = (text: string): string | null =>
  /(?:#t|\bt=)([0-9a-z]{6})(?![0-9a-z])/.exec(text)?.[1] ?? null

/** The mark in an address's fragment; null where it has none. */
export function markIn(url: URL | null): string | null {
  const found = url && /^#t([0-9a-z]{6})$/.exec(url.hash)
  return found ? found[1]! : null
}
