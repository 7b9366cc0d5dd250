import { escapeAttribute } from '../markup'
import { TAG_MARK } from '../wire'
import { ended, shown } from './outcome'
import { harmed, keptFromScreen, unlessRefused } from './in-a-box'
import { inline } from './inline'
import { methodNames } from './names'
import type { Method } from './method'
import { scriptAt, scriptElement } from './script-element'
import { runsAsClassic } from './script-runs'
import { typeset } from './typeset'

/** The site's tag: once on every page, it brings whatever is planned for that page. */
export const tag = {
  id: 'tag',
  ...methodNames.tag,
  taken: 'the site tag is on its pages, and the placement has a selector',
  gives: 'nothing has to be pasted for it: the site tag brings it to its place',
  besides: 'the site tag could bring it: pasted once, it needs no pasting any more',
  needs: ['script'],
  artefact: 'payload',
  policy: inline.policy,
  foretell(box, about) {
    if (about.region !== null && !about.selector)
      return ended('nothing', 'the placement has no selector by which the tag could find it')
    const harm = about.tag === 'confirmed' ? null : harmed(box, ['script', 'data'])
    return (
      harm ??
      unlessRefused(
        about,
        inline.policy(about.origin),
        shown(
          about.tag !== 'confirmed' && 'tagFirst',
          about.tag !== 'confirmed' && box.who === 'owners' && 'owner',
          about.region !== null && 'arrives',
          keptFromScreen(about),
        ),
      )
    )
  },
  text: (request) => typeset(request, [scriptElement(request, ` ${TAG_MARK}="${escapeAttribute(request.publicId)}"`)]),
  read(element) {
    const publicId = element.name === 'script' ? element.attribs[TAG_MARK] : undefined
    const url = publicId ? scriptAt(element.attribs.src) : null
    return url && runsAsClassic(element) ? { publicId: publicId!, origin: url.origin, version: null } : null
  },
  beforeId: [TAG_MARK],
} as const satisfies Method
