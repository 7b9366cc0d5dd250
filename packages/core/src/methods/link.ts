import { pathTo } from '../wire'
import { frameLosses, keptFromScreen, lower, unlessRefused } from './in-a-box'
import { methodNames } from './names'
import type { Method } from './method'
import { ended, shown } from './outcome'
import { versionMark } from './version-mark'

const policy = (origin: string) => ({ 'frame-src': [origin] })

/** An address on a line of its own, which editors expand (oEmbed 1.0) or put into a frame. */
export const link = {
  id: 'link',
  ...methodNames.link,
  taken: "the {box} of this site's {region} takes an address and shows what stands behind it",
  gives: 'nothing but an address is pasted, and the editor puts the widget there itself',
  besides: 'the address alone works here too, and the editor puts a frame there',
  needs: ['address'],
  artefact: 'page',
  policy,
  foretell(box, about) {
    const name = lower(box)
    switch (box.treats.address) {
      case 'text':
        return ended('code', `the ${name} leaves an address as words`)
      case 'links':
        return ended('link', `the ${name} makes an address a link, and shows nothing of what stands behind it`)
      case 'strips':
      case 'pictures':
        return ended('nothing', `the ${name} takes no address of a page`)
      case 'expands':
      case 'frames':
        return unlessRefused(
          about,
          policy(about.origin),
          shown(
            about.region === null && 'overPage',
            box.treats.address === 'frames' && 'size',
            ...frameLosses(about, box.treats.address !== 'frames'),
            keptFromScreen(about, [about.origin]),
          ),
        )
    }
  },
  // No line's end: some editors count it as a second line.
  text: (request) => `${request.origin}${pathTo('link', request.publicId)}#t${versionMark('link', request)}`,
  // What the editor puts there is a frame; until then it is an address among words.
  read: () => null,
  beforeId: [pathTo('link', '')],
} as const satisfies Method
