import { pathTo } from '../wire'
import { nameIn, parsedAddress } from './address'
import { frameElement, SLACK } from './frame-element'
import { frameLosses, harmed, keptFromScreen, unlessRefused, runsScripts, withinOwnFrame } from './in-a-box'
import { methodNames } from './names'
import type { ElementReading, Method } from './method'
import { shown } from './outcome'
import { scriptElement } from './script-element'
import { typeset } from './typeset'
import { markIn, versionMark } from './version-mark'

/** The paths up to the id of what can stand in a frame: the page made for it, and the one that editors put there for an address. */
const BEFORE_ID = pathTo('frame', '')
const BEFORE_LINK = pathTo('link', '')

const needs = ['frame'] as const
const policy = (origin: string) => ({ 'frame-src': [origin] })

/** Elements that show another page, and the attribute that says which. */
const holders: Record<string, string | undefined> = { iframe: 'src', frame: 'src', object: 'data', embed: 'src' }

function framed(address: string | undefined): ElementReading | null {
  const url = address?.includes(BEFORE_ID) || address?.includes(BEFORE_LINK) ? parsedAddress(address) : null
  const publicId = nameIn(url, 'frame') ?? nameIn(url, 'link')
  return publicId ? { publicId, origin: url!.origin, version: markIn(url) } : null
}

/** Names that tools for a visitor's agreement give; common practice in the trade. */
const AGREEMENT = /consent|cookie|gdpr|cmp|agree|opt-?in|privacy/i

const waitOf = (attribs: Record<string, string>): Partial<ElementReading> =>
  Object.keys(attribs).some((name) => AGREEMENT.test(name)) || AGREEMENT.test(attribs.class ?? '')
    ? { waitsFor: 'agreement' }
    : {}

/** A page of ours in a frame: of fixed size, or as high as what is in it where our script is on the page too. */
export const frame = {
  id: 'frame',
  ...methodNames.frame,
  taken: "the {box} of this site's {region} keeps frames",
  gives: 'it works nearly anywhere, at a fixed width and height',
  besides: 'a frame works here too',
  needs,
  artefact: 'frame',
  policy,
  foretell(box, about) {
    const losses = box.ownFrame
      ? withinOwnFrame(box, about)
      : [...(about.region === null ? (['overPage'] as const) : []), ...frameLosses(about)]
    return (
      harmed(box, needs) ??
      unlessRefused(
        about,
        policy(about.origin),
        shown(
          ...losses,
          keptFromScreen(about, [about.origin]),
          box.treats.style !== 'keeps' && 'edge',
          !runsScripts(box) && about.behaviours.length > 0 && 'still',
        ),
      )
    )
  },
  text: (request) =>
    typeset(request, [
      ...frameElement({
        src: `${request.origin}${pathTo('frame', request.publicId)}#t${versionMark('frame', request)}`,
        title: request.name,
        width: Math.round(request.width),
        height: Math.ceil(request.height * SLACK),
        plays: request.plays,
        asks: request.asks,
      }),
      ...(request.grows ? [scriptElement(request)] : []),
    ]),
  read({ name, attribs }) {
    const own = holders[name] && framed(attribs[holders[name]])
    if (own) return own
    // Tools that put frames off keep the address in an attribute of their own, until it is scrolled to, agreed to or pressed.
    for (const attribute in attribs) {
      const kept = attribute.startsWith('data-') ? framed(attribs[attribute]) : null
      if (kept) return { ...kept, ...(holders[name] ? waitOf(attribs) : { waitsFor: 'click' }) }
    }
    return null
  },
  beforeId: [BEFORE_ID],
} as const satisfies Method
