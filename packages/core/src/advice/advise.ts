import {
  endings,
  losses,
  methodList,
  weightOf,
  type Circumstances,
  type Ending,
  type LossId,
  type Method,
  type MethodId,
  type Outcome,
} from '../methods'
import { snippetParts, type BoxPlace, type EditorBox, type PlatformProfile, type Region } from '../platforms'

/** What one method comes to on a site, in the best of its editor's boxes. */
export interface MethodAdvice {
  method: MethodId
  /** The editor's box to use; null where the region has none that anything can be pasted into. */
  box: EditorBox | null
  ends: Ending
  /** What would be lost although it shows, the weightiest first. */
  losses: LossId[]
  /** As a clause, or several. */
  why: string
  /** What the site's policy must be given for it, ready to copy. */
  rule: string | null
}

export interface Advice {
  best: MethodAdvice
  /** In the order of how well they fare. */
  others: MethodAdvice[]
  /** Where nothing shows it: what to ask the client for, as a sentence. */
  ask: string | null
}

export type Setting = Omit<Circumstances, 'region' | 'navigation'> & {
  /** Null for a widget that stands over the page. */
  region: Region | null
}

/** Where code of what stands over the page is pasted: out of the way, on every kind of page. */
export const OVER_PAGE: Region = 'footer'

type AnyMethod = Method & { id: MethodId }

interface Rated {
  method: AnyMethod
  box: EditorBox | null
  outcome: Outcome
}

/**
 * From profile, region and what is known of site and widget: every method with the box to use, what comes of it and why, the best
 * first. Pure. Where two fare alike the methods' own order decides, and within a method the editor's.
 */
export function advise(profile: PlatformProfile, setting: Setting): Advice {
  const rated = methodList.map((method) => bestBox(profile, setting, method)).sort(byHowItFares)
  const [best, ...others] = rated as [Rated, ...Rated[]]
  const inline = rated.find(({ method }) => method.id === 'inline')!
  return {
    best: adviceOf(profile, best, setting, whyTaken(profile, best, setting, inline)),
    others: others.map((one) => adviceOf(profile, one, setting, clause(one.method.besides, one))),
    ask: best.outcome.ends === 'shown' ? null : askFor(profile, setting, best),
  }
}

/** Boxes that a method's text could be pasted into: the tag's into the head, all others' into their region. */
export const boxesFor = (profile: PlatformProfile, region: Region | null, method: MethodId): EditorBox[] =>
  profile.boxes.filter((box) => box.places.includes(placeOf(region, method)))

const placeOf = (region: Region | null, method: MethodId): BoxPlace =>
  method === 'tag' ? 'head' : (region ?? OVER_PAGE)

function bestBox(profile: PlatformProfile, setting: Setting, method: AnyMethod): Rated {
  const about = { ...setting, navigation: profile.navigation }
  const [first] = boxesFor(profile, setting.region, method.id)
    .map((box) => ({ method, box, outcome: method.foretell(box, about) }))
    .sort(byHowItFares)
  const none: Outcome = { ends: 'nothing', losses: [], because: noBox(placeOf(setting.region, method.id)) }
  return first ?? { method, box: null, outcome: none }
}

const noBox = (place: BoxPlace) =>
  place === 'head'
    ? 'nobody can write into the head of its pages'
    : `its ${place} has no box that anything can be pasted into`

const byHowItFares = (one: Rated, other: Rated) =>
  endings[one.outcome.ends].order - endings[other.outcome.ends].order || weightOf(one.outcome) - weightOf(other.outcome)

function adviceOf(profile: PlatformProfile, rated: Rated, setting: Setting, said: string): MethodAdvice {
  const { method, box, outcome } = rated
  const lost = [...outcome.losses].sort((a, b) => losses[b].weight - losses[a].weight)
  const why =
    outcome.ends === 'shown' ? [said, ...lost.map((id) => losses[id].says)].join('; ') : whyNot(profile, rated, setting)
  return { method: method.id, box, ends: outcome.ends, losses: lost, why, rule: outcome.rule ?? null }
}

/** What a method stands or falls by. */
const decisive = (method: AnyMethod) => method.needs.at(-1)!

/** What stops a method, said of the whole region where each of its boxes does. */
function whyNot(profile: PlatformProfile, { method, box, outcome }: Rated, { region }: Setting): string {
  const part = decisive(method)
  const everywhere = boxesFor(profile, region, method.id).every(
    ({ treats }) => part !== 'address' && part !== 'shortcode' && treats[part] !== 'keeps',
  )
  return box && everywhere
    ? `no box of this site's ${placeOf(region, method.id)} keeps ${snippetParts[part]}`
    : `${outcome.because}`
}

function whyTaken(profile: PlatformProfile, best: Rated, setting: Setting, inline: Rated): string {
  const { method, box } = best
  const place = setting.region ?? OVER_PAGE
  const name = box ? box.name.charAt(0).toLowerCase() + box.name.slice(1) : ''
  const taken = method.taken.replace('{box}', name).replace('{region}', place)
  return best !== inline && inline.outcome.ends !== 'shown'
    ? `${whyNot(profile, inline, setting)}, but ${taken}: ${clause(method.gives, best)}`
    : `${taken}, and so ${clause(method.gives, best)}`
}

/** Words that may hang on what is lost. */
const clause = (words: Method['gives'], { outcome }: Rated) =>
  typeof words === 'string' ? words : words(outcome.losses)

/** What would help: the weightiest that somebody at the client's can do. */
function askFor(profile: PlatformProfile, { region }: Setting, best: Rated): string {
  const place = region ?? OVER_PAGE
  if (best.outcome.ends === 'blocked' && !best.outcome.rule)
    return 'Have this Pebblestrand answered over https, at an address of its own (PEBBLESTRAND_ORIGIN).'
  if (best.outcome.ends === 'blocked')
    return `Ask whoever looks after the site’s servers to add this to its content security policy: ${best.outcome.rule}`
  const head = profile.boxes.find((box) => box.places.includes('head'))
  return head
    ? `Nothing that can be pasted into the ${place} shows it. Ask the client to have the site tag put into “${head.name}”, and give the placement a selector; or for a box in the ${place} that takes HTML.`
    : `Nothing that can be pasted into the ${place} shows it. Ask the client for a box in the ${place} that takes HTML, or for another region.`
}
