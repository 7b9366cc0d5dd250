import { saysTheSame, isFingerprint } from './fingerprint'
import type { Finding } from './finding'
import type { Plan } from './plan'
import { liesIn, note, scriptsFor, tagOn, type Seen } from './seen'

/** What else is known where nothing of an install runs on a page. */
export interface Beside {
  /** Another look of the same moment: what differs between the two is noise. */
  again: Seen | null
  /** Whether the page was seen past its cache as well. */
  pastCache: boolean
  /** Whether visitors still get a copy that has it. */
  stillServed: boolean
  /** The page as editors see it, where it stands there. */
  preview: Seen | null
}

/** No copy of the install runs on the page: what stands there instead, and if nothing, why? The most telling answer alone. */
export function judgeMissing(plan: Plan, seen: Seen, beside: Beside): Finding[] {
  const answer =
    elsewhere(plan, seen) ??
    notBrought(plan, seen) ??
    linkOnly(plan, seen) ??
    asText(plan, seen) ??
    remnant(plan, seen) ??
    notRun(plan, seen) ??
    forEditors(plan, beside) ??
    another(plan, seen) ??
    unchanged(plan, seen, beside)
  const { pastCache, stillServed } = beside
  return [answer ?? note('absent', { steps: plan.words, pastCache, stillServed }, seen)]
}

function elsewhere(plan: Plan, seen: Seen): Finding | null {
  const [first] = seen.mine
  if (!first) return null
  const host = seen.mine.find((t) => t.origin)?.origin ?? scriptsFor(seen, first)[0]?.origin
  return note('wrong-host', { host, ours: plan.origin }, seen, seen.mine)
}

/** By the site's tag, which is not there, or finds no place. */
function notBrought(plan: Plan, seen: Seen): Finding | null {
  if (plan.method !== 'tag' || plan.tag === plan.install) return null
  if (!tagOn(plan, seen)) return note('tag-missing', { steps: plan.words }, seen)
  const selector = plan.placement?.selector ?? undefined
  return plan.placement ? note('place-gone', { planned: plan.placement.region, selector }, seen) : null
}

/** An address that an editor made a link of, instead of showing what stands behind it. */
const linkOnly = (plan: Plan, seen: Seen): Finding | null =>
  plan.method === 'link' && seen.orphans.length ? note('link-only', { steps: plan.words }, seen, seen.orphans) : null

/** The no-script link is left, the element around it is gone. */
const remnant = (plan: Plan, seen: Seen): Finding | null =>
  seen.orphans.length ? note('script-stripped', { steps: plan.words }, seen, seen.orphans) : null

function asText(plan: Plan, seen: Seen): Finding | null {
  const [first] = seen.asText
  return first
    ? note(
        first.as === 'shortcode' ? 'shortcode-raw' : 'shown-as-text',
        { found: liesIn(plan, seen, first.node).region ?? undefined, steps: plan.words },
        seen,
        seen.asText,
      )
    : null
}

const notRun = (plan: Plan, seen: Seen): Finding | null =>
  seen.dead[0] ? note('inert', { where: seen.dead[0].where, planned: plan.placement?.region }, seen, seen.dead) : null

/** Editors see it and visitors do not: it waits to be published, or its block is not shown to everyone. */
function forEditors(plan: Plan, { preview, stillServed }: Beside): Finding | null {
  if (!preview || stillServed || plan.status === 'planned' || plan.status === 'handed-over') return null
  return note('signed-in-only', { steps: plan.words }, preview, preview.mine)
}

/** Something of ours in this very placement that is not planned for it. A frame of somebody else's at a path like ours is none. */
function another(plan: Plan, seen: Seen): Finding | null {
  if (!plan.placement) return null
  const isOurs = (id: string, origin: string | null) =>
    origin === null || origin === plan.origin || plan.others.some((other) => other.install === id)
  const strangers = seen.traces.live.filter(
    (t) =>
      isOurs(t.id, t.origin) &&
      !plan.others.some((o) => o.install === t.id && o.here) &&
      liesIn(plan, seen, t.node).inside === true,
  )
  const first = strangers[0]
  if (!first) return null
  const name = plan.others.find((o) => o.install === first.id)?.name
  return note(
    'other-widget',
    { planned: plan.placement.region, other: name ? `“${name}”` : 'a widget that the register does not know' },
    seen,
    strangers,
  )
}

/** Pasted, and the page is as it was before: its content, or its Last-Modified. */
function unchanged(plan: Plan, seen: Seen, { again }: Beside): Finding | null {
  if (plan.status === 'planned' || plan.status === 'handed-over' || !plan.baseline) return null
  const { fingerprint } = plan.baseline
  const sameContent = isFingerprint(fingerprint)
    ? saysTheSame(fingerprint, seen.fingerprint(), again?.fingerprint() ?? null)
    : fingerprint === seen.contentHash()
  const modified = Date.parse(seen.look.headers['last-modified'] ?? '')
  const pasted = Date.parse(plan.pastedAt ?? '')
  // Last-Modified counts whole seconds, so the second of the paste itself tells nothing.
  const untouched =
    Number.isFinite(modified) &&
    Number.isFinite(pasted) &&
    modified < pasted - 1000 &&
    seen.look.headers['last-modified'] === plan.baseline.lastModified
  return sameContent || untouched ? note('unpublished', { steps: plan.words }, seen) : null
}
