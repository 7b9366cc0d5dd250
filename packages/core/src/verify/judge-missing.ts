import { fingerprint } from './fingerprint'
import type { Finding } from './finding'
import type { Plan } from './plan'
import { inPlacement } from './region'
import { note, type Seen } from './seen'

/** No copy of the install runs on the page: what stands there instead, and if nothing, why? The most telling answer alone. */
export function judgeMissing(plan: Plan, seen: Seen): Finding[] {
  const answer =
    elsewhere(plan, seen) ??
    asText(plan, seen) ??
    remnant(plan, seen) ??
    notRun(plan, seen) ??
    another(plan, seen) ??
    unchanged(plan, seen)
  return [answer ?? note('absent', { steps: plan.words }, seen)]
}

function elsewhere(plan: Plan, seen: Seen): Finding | null {
  if (!seen.mine.length) return null
  const host = seen.mine.find((t) => t.origin)?.origin ?? seen.traces.scripts[0]
  return note('wrong-host', { host, ours: plan.origin }, seen, seen.mine)
}

/** The no-script link is left, the element around it is gone. */
function remnant(plan: Plan, seen: Seen): Finding | null {
  const orphans = seen.traces.orphans.filter((o) => o.id === plan.install)
  return orphans.length ? note('script-stripped', { steps: plan.words }, seen, orphans) : null
}

function asText(plan: Plan, seen: Seen): Finding | null {
  const text = seen.traces.dead.filter((d) => d.id === plan.install && d.where === 'text')
  return text.length
    ? note(
        'shown-as-text',
        { found: inPlacement(seen.page, text[0]!.node, plan.placement).region ?? undefined, steps: plan.words },
        seen,
        text,
      )
    : null
}

function notRun(plan: Plan, seen: Seen): Finding | null {
  const dead = seen.traces.dead.filter((d) => d.id === plan.install)
  return dead.length ? note('inert', { where: dead[0]!.where, planned: plan.placement.region }, seen, dead) : null
}

/** Something of ours in this very placement that is not planned for it. */
function another(plan: Plan, seen: Seen): Finding | null {
  const strangers = seen.traces.live.filter(
    (t) =>
      !plan.others.some((o) => o.install === t.id && o.here) && inPlacement(seen.page, t.node, plan.placement).inside,
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

/** Pasted, and the page is as it was before: its content by hash, or its Last-Modified. */
function unchanged(plan: Plan, seen: Seen): Finding | null {
  if (plan.status === 'planned' || !plan.baseline) return null
  const sameContent = fingerprint(seen.page) === plan.baseline.fingerprint
  const modified = Date.parse(seen.answer.headers['last-modified'] ?? '')
  const pasted = Date.parse(plan.pastedAt ?? '')
  // Last-Modified counts whole seconds, so the second of the paste itself tells nothing.
  const untouched =
    Number.isFinite(modified) &&
    Number.isFinite(pasted) &&
    modified < pasted - 1000 &&
    seen.answer.headers['last-modified'] === plan.baseline.lastModified
  return sameContent || untouched ? note('unpublished', { steps: plan.words }, seen) : null
}
