import { escapeAttribute } from '../markup'
import { pathTo } from '../wire'
import { nameIn, parsedAddress } from './address'
import { comment } from './comment'
import type { ElementReading, Method } from './method'

/** A frame cannot grow with its content: room for lines that break earlier than was worked out (e2e/fit.spec.ts). */
const SLACK = 1.15

/** The path of a frame up to the id. */
const BEFORE_ID = pathTo('frame', '')

/** Elements that show another page, and the attribute that says which. */
const holders: Record<string, string | undefined> = { iframe: 'src', frame: 'src', object: 'data', embed: 'src' }

function framed(address: string | undefined): ElementReading | null {
  const url = address?.includes(BEFORE_ID) ? parsedAddress(address) : null
  const publicId = nameIn(url, 'frame')
  return publicId ? { publicId, origin: url!.origin } : null
}

/** Names that tools for a visitor's agreement give; common practice in the trade. */
const AGREEMENT = /consent|cookie|gdpr|cmp|agree|opt-?in|privacy/i

const waitOf = (attribs: Record<string, string>): Partial<ElementReading> =>
  Object.keys(attribs).some((name) => AGREEMENT.test(name)) || AGREEMENT.test(attribs.class ?? '')
    ? { waitsFor: 'agreement' }
    : {}

/** A page of ours in a frame of fixed size. */
export const frame = {
  id: 'frame',
  name: 'frame',
  short: 'frame',
  gives: 'it works nearly anywhere, at a fixed width and height',
  besides:
    "a frame works here too, but its height is fixed: a longer list scrolls inside it, and it cannot take the page's own font",
  needs: ['frame'],
  artefact: 'frame',
  policy: (origin) => ({ 'frame-src': [origin] }),
  text: (request) =>
    [
      comment(request),
      `<iframe src="${escapeAttribute(request.origin + pathTo('frame', request.publicId))}" title="${escapeAttribute(request.name)}"`,
      `  width="${Math.round(request.width)}" height="${Math.ceil(request.height * SLACK)}" loading="lazy"`,
      '  style="border:0;max-width:100%"></iframe>\n',
    ].join('\n'),
  read({ name, attribs }) {
    const own = holders[name] && framed(attribs[holders[name]])
    if (own) return own
    // Tools that put frames off keep the address in an attribute of their own, until it is scrolled to, agreed to or pressed.
    for (const [attribute, value] of Object.entries(attribs)) {
      const kept = attribute.startsWith('data-') ? framed(value) : null
      if (kept) return { ...kept, ...(holders[name] ? waitOf(attribs) : { waitsFor: 'click' }) }
    }
    return null
  },
  beforeId: [BEFORE_ID],
} as const satisfies Method
