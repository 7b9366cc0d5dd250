import { methods } from '../methods'
import { barOf } from './barred'
import type { Finding } from './finding'
import { frameSize } from './frame-size'
import { hiddenBy } from './hidden'
import type { Plan } from './plan'
import { liesIn, note, scriptsFor, type Seen } from './seen'
import type { Trace } from './traces'

/** The install is on the page: is it once, in its place, whole, let through, seen, and of a fitting size? */
export function judgePresent(plan: Plan, seen: Seen): Finding[] {
  return [
    ...copies(plan, seen),
    ...place(plan, seen),
    ...script(plan, seen),
    ...barred(plan, seen),
    ...hidden(seen),
    ...width(plan, seen),
    ...strayText(plan, seen),
  ]
}

function copies(plan: Plan, seen: Seen): Finding[] {
  return seen.mine.length > 1
    ? [note('double', { copies: seen.mine.length, planned: plan.placement?.region }, seen, seen.mine)]
    : []
}

/** One copy in its place is enough here; the others are `double`'s business. Where nothing tells, nothing is said. */
function place(plan: Plan, seen: Seen): Finding[] {
  if (!plan.placement) return []
  const lies = seen.mine.map((trace) => liesIn(plan, seen, trace.node))
  if (lies.some(({ inside }) => inside !== false)) return []
  const { region: found } = lies[0]!
  const planned = plan.placement.region
  return [
    note(
      'wrong-placement',
      {
        planned,
        found: found === planned ? `${found}, but outside its marked place` : (found ?? undefined),
      },
      seen,
      seen.mine,
    ),
  ]
}

const loadsByScript = ({ method }: Trace) => (methods[method].needs as readonly string[]).includes('script')

function script(plan: Plan, seen: Seen): Finding[] {
  const without = seen.mine.filter(
    (trace) =>
      loadsByScript(trace) && !scriptsFor(seen, trace).some(({ origin, runs }) => runs && origin === plan.origin),
  )
  if (!without.length || without.length < seen.mine.filter(loadsByScript).length) return []
  const held = scriptsFor(seen, without[0]!).find(({ origin }) => origin === plan.origin)
  return [
    note('script-stripped', { steps: plan.words, held: held && heldBy(held.node.attribs) }, seen, [
      ...without,
      ...(held ? [held] : []),
    ]),
  ]
}

/** Why a script that is there is not run, as a clause. */
function heldBy(attribs: Record<string, string>): string {
  if (attribs.src === undefined) return 'its address stands in another attribute'
  if (attribs.nomodule !== undefined) return 'it is marked for old browsers only (nomodule)'
  if (attribs.type === 'module') return 'it was made a module'
  return `its type was changed to “${(attribs.type ?? attribs.language ?? '').slice(0, 60)}”`
}

function barred(plan: Plan, seen: Seen): Finding[] {
  const bars = seen.mine.map((trace) => barOf(plan, seen, trace))
  const [first] = bars
  return first && bars.every(Boolean) ? [note('blocked', { ...first }, seen, seen.mine)] : []
}

function hidden(seen: Seen): Finding[] {
  const reasons = seen.mine.map((trace) => hiddenBy(seen.page, trace.node))
  const [first] = reasons
  return first && reasons.every(Boolean) ? [note('hidden', { problem: first }, seen, seen.mine)] : []
}

/** Px: a placement as wide as the window, or nearly so. */
const WHOLE_WINDOW = 1000

function width(plan: Plan, seen: Seen): Finding[] {
  const place = plan.placement?.width ?? undefined
  for (const trace of seen.mine) {
    if (methods[trace.method].artefact !== 'frame' || trace.within || trace.waitsFor === 'click') continue
    const { width: own, least } = frameSize(trace.node)
    const tooWide = (px: number | null) => px !== null && place !== undefined && px > place
    const bad =
      own === null ||
      own === 0 ||
      tooWide(least) ||
      (own === 'window' ? (place ?? 0) < WHOLE_WINDOW : own !== 'fluid' && tooWide(own))
    if (!bad) continue
    const said = tooWide(least) ? least! : own
    return [
      note(
        'no-width',
        {
          width: typeof said === 'number' ? said : undefined,
          window: said === 'window' || undefined,
          placementWidth: place,
        },
        seen,
        [trace],
      ),
    ]
  }
  return []
}

/** The widget runs, and its code can be read somewhere else on the page as well. */
function strayText(plan: Plan, seen: Seen): Finding[] {
  const [first] = seen.asText
  return first
    ? [
        note(
          'shown-as-text',
          { found: liesIn(plan, seen, first.node).region ?? undefined, steps: plan.words },
          seen,
          seen.asText,
        ),
      ]
    : []
}
