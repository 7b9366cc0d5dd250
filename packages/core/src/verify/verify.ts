import type { Finding } from './finding'
import { fingerprint } from './fingerprint'
import { parsePage } from './page'
import type { Evidence, Fetched, Plan } from './plan'
import { movedTo, problemOf } from './reach'
import { judgeMissing } from './judge-missing'
import { judgePresent } from './judge-present'
import { inPlacement, regionOf } from './region'
import { note, type Seen } from './seen'
import { statusAfter, type InstallStatus } from './status'
import { findTraces } from './traces'

/** What stands on the page for a reader in a hurry. */
export interface Facts {
  status: number
  finalUrl: string
  /** Region of the first live copy; null where there is none or nothing tells. */
  region: string | null
  copies: number
  /** Of the newest state we got, to compare with at the next check. */
  fingerprint: string | null
}

export interface Verdict {
  findings: Finding[]
  status: InstallStatus
  facts: Facts
}

/** Compares what was fetched with what was planned. Pure: the same evidence gives the same findings. */
export function verify(plan: Plan, evidence: Evidence): Verdict {
  const served = look(plan, evidence.served, 'served')
  const problem = problemOf(evidence.served, served.page)
  if (problem) return verdict(plan, [note('unreachable', { problem }, served)], served)
  const fresh = evidence.fresh && !problemOf(evidence.fresh, null) ? look(plan, evidence.fresh, 'fresh') : null
  const newest = fresh ?? served
  const destination = movedTo(evidence.served)
  const moved = destination ? [note('moved', { destination }, served)] : []
  return verdict(plan, [...moved, ...judge(plan, served, newest)], newest)
}

function judge(plan: Plan, served: Seen, newest: Seen): Finding[] {
  if (plan.retiring) return judgeGone(plan, served, newest)
  const hosts = { elsewhere: !isOurs(plan, newest) }
  if (!newest.mine.length || hosts.elsewhere) return judgeMissing(plan, newest)
  const faults = judgePresent(plan, newest)
  const old = !served.mine.length ? [note('cached-copy', { age: ageOf(served.answer), steps: plan.words }, served)] : []
  return [...faults, ...old]
}

/** Copies that load from this Pebblestrand: a frame says so itself, an element by its script; one without any script counts as ours. */
function isOurs(plan: Plan, seen: Seen): boolean {
  const { scripts } = seen.traces
  return seen.mine.some((t) =>
    t.form === 'frame' ? t.origin === plan.origin : !scripts.length || scripts.includes(plan.origin),
  )
}

function judgeGone(plan: Plan, served: Seen, newest: Seen): Finding[] {
  const left = [newest, served].find(
    (seen) => seen.mine.length || seen.traces.dead.some((d) => d.id === plan.install && d.where === 'text'),
  )
  if (!left) return []
  if (left === served && newest !== served)
    return [note('cached-copy', { age: ageOf(served.answer), steps: plan.words }, served, left.mine)]
  return [
    note(
      'still-there',
      { found: left.mine[0] && (regionOf(left.mine[0].node) ?? undefined), steps: plan.words },
      left,
      left.mine,
    ),
  ]
}

function look(plan: Plan, answer: Fetched, which: Seen['which']): Seen {
  const page = parsePage(answer.html)
  const traces = findTraces(page)
  return { which, answer, page, traces, mine: traces.live.filter((t) => t.id === plan.install) }
}

function verdict(plan: Plan, findings: Finding[], newest: Seen): Verdict {
  const first = newest.mine[0]
  const facts = {
    status: newest.answer.status,
    finalUrl: newest.answer.finalUrl,
    region: first ? inPlacement(newest.page, first.node, plan.placement).region : null,
    copies: newest.mine.length,
    fingerprint: newest.answer.error || newest.answer.status >= 400 ? null : fingerprint(newest.page),
  }
  return { findings, status: statusAfter(plan, findings), facts }
}

function ageOf(answer: Fetched): number | undefined {
  const age = answer.headers.age
  return age && /^\d+$/.test(age) ? Number(age) : undefined
}
