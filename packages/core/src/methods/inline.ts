import { escapeAttribute, escapeText } from '../markup'
import { MARK, pathTo } from '../wire'
import { isPath, nameIn, parsedAddress } from './address'
import { comment } from './comment'
import type { Method, SnippetRequest } from './method'
import { reservedHeight } from './reserved-height'
import { runsAsClassic } from './script-runs'

function script({ origin, pinned }: SnippetRequest): string {
  if (!pinned) return `<script async src="${escapeAttribute(origin + pathTo('script'))}"></script>\n`
  const src = origin + pathTo('scriptVersion', pinned.version)
  return `<script async src="${escapeAttribute(src)}" integrity="${escapeAttribute(pinned.integrity)}" crossorigin="anonymous"></script>\n`
}

function scriptAt(address: string | undefined): URL | null {
  const url = address?.includes('.js') ? parsedAddress(address) : null
  return isPath(url, 'script') || isPath(url, 'scriptVersion') ? url : null
}

/** An element and the script that fills it. */
export const inline = {
  id: 'inline',
  name: 'element and script',
  short: 'inline',
  gives: 'it keeps its own height and takes the font of the page',
  besides: 'it works here too: it keeps its own height and takes the font of the page',
  needs: ['element', 'script'],
  artefact: 'payload',
  policy: (origin) => ({
    'script-src': [origin],
    'connect-src': [origin],
    'font-src': [origin],
    'img-src': [origin],
  }),
  text: (request) =>
    [
      comment(request),
      `<div ${MARK}="${escapeAttribute(request.publicId)}" style="min-height:${reservedHeight({ height: request.height, ...request.narrower })}">`,
      `  <a href="${escapeAttribute(request.origin + pathTo('link', request.publicId))}">${escapeText(request.name)}</a>`,
      '</div>',
      script(request),
    ].join('\n'),
  read: ({ attribs }) => (attribs[MARK] ? { publicId: attribs[MARK], origin: null } : null),
  beforeId: [MARK, pathTo('link', '')],
  readScript(element) {
    if (element.name !== 'script') return null
    const { src, ...others } = element.attribs
    const own = scriptAt(src)
    if (own) return { origin: own.origin, runs: runsAsClassic(element) }
    // Tools that hold scripts back keep the address in an attribute of their own.
    const kept = Object.entries(others).find(([name, value]) => name.startsWith('data-') && scriptAt(value))
    return kept ? { origin: scriptAt(kept[1])!.origin, runs: false } : null
  },
  readRemnant: ({ name, attribs }) => (name === 'a' ? nameIn(parsedAddress(attribs.href), 'link') : null),
} as const satisfies Method
