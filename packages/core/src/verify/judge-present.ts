import { frameWidth } from './frame-width'
import type { Finding } from './finding'
import type { Plan } from './plan'
import { inPlacement } from './region'
import type { Trace } from './traces'
import { note, type Seen } from './seen'

/** The install is on the page: is it once, in its place, whole, and of a fitting size? */
export function judgePresent(plan: Plan, seen: Seen): Finding[] {
  return [
    ...copies(plan, seen),
    ...place(plan, seen),
    ...script(plan, seen),
    ...width(plan, seen),
    ...strayText(plan, seen),
  ]
}

function copies(plan: Plan, seen: Seen): Finding[] {
  return seen.mine.length > 1
    ? [note('double', { copies: seen.mine.length, planned: plan.placement.region }, seen, seen.mine)]
    : []
}

/** One copy in its place is enough here; the others are `double`'s business. */
function place(plan: Plan, seen: Seen): Finding[] {
  const lies = seen.mine.map((trace) => inPlacement(seen.page, trace.node, plan.placement))
  if (lies.some((l) => l.inside)) return []
  const found = lies[0]!.region
  const planned = plan.placement.region
  return [
    note(
      'wrong-placement',
      { planned, found: found === planned ? `${found}, but outside its marked place` : (found ?? undefined) },
      seen,
      seen.mine,
    ),
  ]
}

function script(plan: Plan, seen: Seen): Finding[] {
  const elements = seen.mine.filter((t) => t.form === 'element')
  if (!elements.length || seen.traces.scripts.includes(plan.origin)) return []
  return [note('script-stripped', { steps: plan.words }, seen, elements)]
}

function width(plan: Plan, seen: Seen): Finding[] {
  const placementWidth = plan.placement.width ?? undefined
  const bad = seen.mine
    .filter((t) => t.form === 'frame')
    .map((trace) => ({ trace, width: frameWidth(trace.node) }))
    .find(({ width: w }) => w === null || (w !== 'fluid' && placementWidth !== undefined && w > placementWidth))
  return bad
    ? [
        note('no-width', { width: bad.width === null ? undefined : Number(bad.width), placementWidth }, seen, [
          bad.trace as Trace,
        ]),
      ]
    : []
}

/** The widget runs, and its code can be read somewhere else on the page as well. */
function strayText(plan: Plan, seen: Seen): Finding[] {
  const text = seen.traces.dead.filter((d) => d.id === plan.install && d.where === 'text')
  return text.length
    ? [
        note(
          'shown-as-text',
          { found: inPlacement(seen.page, text[0]!.node, plan.placement).region ?? undefined, steps: plan.words },
          seen,
          text,
        ),
      ]
    : []
}
