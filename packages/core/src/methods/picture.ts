import { escapeAttribute } from '../markup'
import { pathTo } from '../wire'
import { nameIn, parsedAddress } from './address'
import { harmed, unlessRefused } from './in-a-box'
import { methodNames } from './names'
import type { ElementReading, Method } from './method'
import { ended, shown } from './outcome'
import { typeset } from './typeset'
import { markIn, versionMark } from './version-mark'

const needs = ['picture'] as const
const policy = (origin: string) => ({ 'img-src': [origin] })

const paths = ['still', 'stillTwice', 'stillDrawing'] as const

function pictured(source: string | undefined): ElementReading | null {
  const url = parsedAddress(source)
  const publicId = paths.map((path) => nameIn(url, path)).find((name) => name !== null) ?? null
  return publicId ? { publicId, origin: url!.origin, version: markIn(url) } : null
}

/** A picture of what it says, always current, for places that take nothing else: mail signatures, other people's sites. */
export const picture = {
  id: 'picture',
  ...methodNames.picture,
  taken: "the {box} of this site's {region} keeps pictures",
  gives: 'a picture of it shows, that follows what it says',
  besides: 'a picture of it works too, also in a mail',
  needs,
  artefact: 'still',
  policy,
  foretell(box, about) {
    if (!about.pictured) return ended('nothing', 'of this kind there is no picture')
    const harm = harmed(box, box.treats.element === 'escapes' ? ['element', ...needs] : needs)
    // The link around it is what stays.
    if (harm) return harm.ends === 'nothing' && box.treats.element === 'keeps' ? { ...harm, ends: 'link' } : harm
    return unlessRefused(
      about,
      policy(about.origin),
      shown('picture', about.region === null && 'overPage', box.treats.element !== 'keeps' && 'links'),
    )
  },
  text(request) {
    const { origin, publicId, name, drawing, still } = request
    const address = (path: (typeof paths)[number] | 'link') => escapeAttribute(origin + pathTo(path, publicId))
    const mark = `#t${versionMark('picture', request)}`
    const { width, height, says } = still ?? {
      width: Math.round(request.width),
      height: Math.ceil(request.height),
      says: name,
    }
    return typeset(request, [
      `<a href="${address('link')}">`,
      drawing
        ? `  <img src="${address('stillDrawing')}${mark}"`
        : `  <img src="${address('still')}${mark}" srcset="${address('stillTwice')} 2x"`,
      `  width="${width}" height="${height}" alt="${escapeAttribute(says)}"></a>`,
    ])
  },
  read({ name, attribs }) {
    if (name !== 'img') return null
    const own = pictured(attribs.src)
    if (own) return own
    // Tools that put pictures off keep the address in an attribute of their own.
    for (const attribute in attribs) {
      const kept = attribute.startsWith('data-') ? pictured(attribs[attribute]) : null
      if (kept) return kept
    }
    return null
  },
  beforeId: paths.map((path) => pathTo(path, '').replace(/\.\w+$/, '')),
} as const satisfies Method
