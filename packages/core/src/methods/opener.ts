import { address, escapeAttribute, escapeText } from '../markup'
import { OPENS_MARK, pathTo } from '../wire'
import { parsedAddress } from './address'
import { harmed, keptFromScreen, lower, runsScripts, unlessLoaded, unlessRefused, withinOwnFrame } from './in-a-box'
import { inline } from './inline'
import { methodNames } from './names'
import type { Method, SnippetRequest } from './method'
import { ended, shown } from './outcome'
import { scriptElement } from './script-element'
import { typeset } from './typeset'
import { markIn, versionMark } from './version-mark'

const needs = ['element', 'data', 'script'] as const

/** Like a button in any theme: the colour of the words around it, and an edge of it. */
const BUTTON = 'display:inline-block;padding:10px 18px;border:1px solid;border-radius:6px;text-decoration:none'

/** Something to press that opens the widget in a dialog over the page; without a script it leads to the widget's own page. */
export const opener = {
  id: 'opener',
  ...methodNames.opener,
  taken: 'the {box} keeps links and scripts',
  gives: 'a press opens it over the page',
  besides: 'it could open over the page, from a link, a button or a picture',
  needs,
  artefact: 'payload',
  policy: inline.policy,
  foretell(box, about) {
    // Where the site's tag is, its script opens it.
    const harm = harmed(box, about.tag === 'confirmed' && !box.ownFrame ? ['element', 'data'] : needs)
    if (harm) return harm.ends === 'nothing' && box.treats.element === 'keeps' ? { ...harm, ends: 'link' } : harm
    if (!runsScripts(box)) return ended('link', `the ${lower(box)} stands in a frame that lets no script run`)
    const outcome = shown('pressed', ...withinOwnFrame(box, about), unlessLoaded(box, about), keptFromScreen(about))
    return unlessRefused(about, inline.policy(about.origin), outcome)
  },
  text: (request) => typeset(request, [...lines(request), scriptElement(request)]),
  read(element) {
    const publicId = element.attribs[OPENS_MARK]
    return publicId ? { publicId, origin: null, version: markIn(parsedAddress(element.attribs.href)) } : null
  },
  beforeId: [OPENS_MARK, pathTo('link', '')],
} as const satisfies Method

function lines(request: SnippetRequest): string[] {
  const { origin, publicId, name, opens = { by: 'link' } } = request
  const words = opens.words?.trim() || name
  const mark = `${OPENS_MARK}="${escapeAttribute(publicId)}"`
  // For a tag that is written already.
  if (opens.by === 'attribute') return [`<span ${mark}>${escapeText(words)}</span>`]
  const href = `href="${escapeAttribute(origin + pathTo('link', publicId))}#t${versionMark('opener', request)}"`
  if (opens.by === 'button') return [`<a ${href} ${mark} style="${BUTTON}">${escapeText(words)}</a>`]
  const src = opens.by === 'picture' ? address(opens.picture ?? null) : ''
  return src
    ? [`<a ${href} ${mark}>`, `  <img src="${src}" alt="${escapeAttribute(words)}"></a>`]
    : [`<a ${href} ${mark}>${escapeText(words)}</a>`]
}
