import type { Element } from 'domhandler'
import { escapeAttribute, escapeText } from '../markup'
import { MARK, pathTo } from '../wire'
import { nameIn, parsedAddress } from './address'
import { harmed, keptFromScreen, lower, runsScripts, unlessLoaded, unlessRefused, withinOwnFrame } from './in-a-box'
import { methodNames } from './names'
import type { Method } from './method'
import { ended, shown, type LossId } from './outcome'
import { reservedHeight } from './reserved-height'
import { scriptAt, scriptElement } from './script-element'
import { runsAsClassic } from './script-runs'
import { typeset } from './typeset'
import { markIn, versionMark } from './version-mark'

const needs = ['element', 'data', 'script'] as const

const policy = (origin: string) => ({
  'script-src': [origin],
  'connect-src': [origin],
  'font-src': [origin],
  'img-src': [origin],
})

/** What it has before others, where the place lets it. */
function strengths(lost: readonly LossId[]): string | null {
  const kept = [
    !lost.includes('growth') && 'keeps its own height',
    !lost.includes('font') && 'takes the font of the page',
  ]
  const said = kept.filter(Boolean).join(' and ')
  return said ? `it ${said}` : null
}

/** The mark of the text, from the link within the element. */
function versionWithin({ children }: Element): string | null {
  for (const child of children)
    if (child.type === 'tag' && child.name === 'a') return markIn(parsedAddress(child.attribs.href))
  return null
}

/** An element and the script that fills it. */
export const inline = {
  id: 'inline',
  ...methodNames.inline,
  taken: "the {box} of this site's {region} keeps scripts",
  gives: (lost) => strengths(lost) ?? 'it shows there',
  besides: (lost) => ['it works here too', strengths(lost)].filter(Boolean).join(': '),
  needs,
  artefact: 'payload',
  policy,
  foretell(box, about) {
    const harm = harmed(box, needs)
    // With its mark or its script taken away, its link is what stays.
    if (harm) return harm.ends === 'nothing' && box.treats.element === 'keeps' ? { ...harm, ends: 'link' } : harm
    if (!runsScripts(box)) return ended('link', `the ${lower(box)} stands in a frame that lets no script run`)
    const outcome = shown(
      ...withinOwnFrame(box, about),
      unlessLoaded(box, about),
      keptFromScreen(about),
      box.treats.style !== 'keeps' && 'jump',
    )
    return unlessRefused(about, policy(about.origin), outcome)
  },
  text: (request) =>
    typeset(request, [
      `<div ${MARK}="${escapeAttribute(request.publicId)}" style="min-height:${reservedHeight({ height: request.height, ...request.narrower })}">`,
      `  <a href="${escapeAttribute(request.origin + pathTo('link', request.publicId))}#t${versionMark('inline', request)}">${escapeText(request.name)}</a>`,
      '</div>',
      scriptElement(request),
    ]),
  read(element) {
    const publicId = element.attribs[MARK]
    return publicId ? { publicId, origin: null, version: versionWithin(element) } : null
  },
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
