import { SHORTCODE } from '../wire'
import { ended, shown } from './outcome'
import { inline } from './inline'
import { keptFromScreen, lower, unlessLoaded, unlessRefused } from './in-a-box'
import { methodNames } from './names'
import type { Method } from './method'
import { versionMark } from './version-mark'

/** What a connector on the site replaces by the element and the script, past all that editors do to code. */
export const shortcode = {
  id: 'shortcode',
  ...methodNames.shortcode,
  taken: "the site's connector is on and the {box} of its {region} lets it work",
  gives: "the site's connector puts in the whole widget where the shortcode stands, whatever the editor does to code",
  besides: "a shortcode works here too: the site's connector replaces it",
  needs: ['shortcode'],
  artefact: 'connector',
  policy: inline.policy,
  foretell(box, about) {
    const name = lower(box)
    if (box.treats.shortcode === 'strips') return ended('nothing', `the ${name} takes no shortcode`)
    if (box.treats.shortcode === 'text') return ended('code', `the ${name} leaves shortcodes as words`)
    if (!about.connector) return ended('code', 'no connector that replaces it is on at this site')
    return unlessRefused(about, inline.policy(about.origin), shown(unlessLoaded(box, about), keptFromScreen(about)))
  },
  // Without quotes: editors make typographic ones of them. An id is letters, digits and hyphens.
  text: (request) => `[${SHORTCODE} id=${wordOf(request.publicId)} t=${versionMark('shortcode', request)}]`,
  // Once replaced, it is an element as any other; before that it is text.
  read: () => null,
  beforeId: [`[${SHORTCODE} id=`],
} as const satisfies Method

/** An id as one word of a shortcode; ids of ours are that already. */
const wordOf = (id: string) => id.replace(/[^A-Za-z0-9-]/g, '')
