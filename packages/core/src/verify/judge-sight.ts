import type { FindingCode, FindingData } from './catalogue'
import { finding, type Finding } from './finding'
import { isBrowserLook, lookKinds } from './look-kinds'
import { judgePresent } from './judge-present'
import { judgeTried } from './judge-tried'
import type { Plan } from './plan'
import { problemOf } from './reach'
import { note, seenBy, type Seen } from './seen'
import type { ReadLook } from './look'
import type { Sight, WidgetSight } from './sight'

/** One install as one width of a browser showed it. */
interface Shown {
  seen: Seen
  sight: Sight
  widgets: WidgetSight[]
}

/** What markup lets expect, and a browser settles by looking. */
const foretold = new Set(['script-stripped', 'hidden', 'blocked'])

/** What browsers showed of the page, those looks left out in which it could not be seen. */
export const sightsIn = (plan: Plan, looks: readonly ReadLook[]): Shown[] =>
  looks.flatMap((read) => {
    const { look, page } = read
    if (plan.tag === plan.install) return [] // a tag is nothing that is drawn
    if (!isBrowserLook(look.how) || !look.sight || problemOf(look, page)) return []
    const widgets = look.sight.widgets.filter((widget) => widget.id === plan.install)
    return [{ seen: seenBy(plan, read), sight: look.sight, widgets }]
  })

/**
 * The stronger look wins: what a browser showed of an install takes the place of what its markup let expect. What is past
 * the cache, and not in what visitors get, stays: a browser shows what visitors get.
 * @param own what was found without a browser
 * @param newer of it, what is past the cache only
 */
export function judgeSights(plan: Plan, own: Finding[], newer: Finding[], shown: Shown[]): Finding[] {
  const drawn = shown.filter(({ widgets }) => widgets.length)
  if (!drawn.length) return own.length ? own : (notBroughtBy(plan, shown) ?? takenOut(shown))
  // Its markup after scripts ran says where it stands, and how often.
  const inMarkup = judgePresent(plan, drawn.at(-1)!.seen).filter(({ code }) => !foretold.has(code))
  const causes = drawn.every(isBroken) ? causesOf(own, drawn) : []
  const faults = faultsAt(plan, drawn).filter(({ code }) => !causes.length || code !== 'script-error')
  const found = oneEach([...causes, ...inMarkup, ...faults, ...judgeTried(plan, drawn)])
  const cached = own.find(({ code }) => code === 'cached-copy')
  if (!cached) return oneEach([...newer, ...found])
  return found.length ? [cached, ...newer] : newer
}

const isBroken = ({ widgets }: Shown) => widgets.every((widget) => !widget.ready)

/** What the markup says of why nothing fills it, with the banner that may hold our script back. */
function causesOf(own: Finding[], drawn: Shown[]): Finding[] {
  const consent = drawn.find(({ sight }) => sight.consent)?.sight.consent ?? undefined
  return own
    .filter(({ code }) => code === 'script-stripped' || code === 'blocked')
    .map((one) => (consent && one.data.held ? finding(one.code, { ...one.data, consent }, one.proof) : one))
}

/** The site's tag is there and has put nothing into its place. */
function notBroughtBy(plan: Plan, shown: Shown[]): Finding[] | null {
  const last = shown.at(-1)
  if (!last?.seen.brought) return null
  const { code, data } = notStarted(plan, last.sight)
  return [note(code, data, last.seen, last.seen.mine)]
}

/** It is in the markup, and the page's own scripts take it away. */
const takenOut = (shown: Shown[]): Finding[] =>
  shown.length
    ? [note('hidden', { problem: 'a part of the page that its own scripts take away again' }, shown.at(-1)!.seen)]
    : []

/** One fault as one width shows it. */
interface Fault {
  code: FindingCode
  data: FindingData
}

/** Each fault once, as the widest window shows it; where some windows do not, with those that do. */
function faultsAt(plan: Plan, drawn: Shown[]): Finding[] {
  const all = drawn.flatMap((one) => faultsOf(plan, one).map((fault) => ({ ...fault, seen: one.seen })))
  return [...new Set(all.map(({ code }) => code))].map((code) => {
    const same = all.filter((fault) => fault.code === code)
    const where =
      same.length === drawn.length ? undefined : same.map(({ seen }) => lookKinds[seen.look.how].name).join(' and ')
    const { data, seen } = same.at(-1)!
    return note(code, { ...data, where }, seen, seen.mine)
  })
}

function faultsOf(plan: Plan, shown: Shown): Fault[] {
  const ready = shown.widgets.filter((widget) => widget.ready)
  if (!ready.length) return [notStarted(plan, shown.sight)]
  const [first] = shown.widgets
  const faults: Fault[] = []
  if (shown.widgets.every((widget) => widget.unseen))
    faults.push({ code: 'hidden', data: { problem: hiddenWords(first!) } })
  else if (ready.every(isEmpty)) faults.push({ code: 'empty', data: {} })
  else if (shown.sight.sidewaysByUs || ready.some((widget) => widget.overflows))
    faults.push({
      code: 'overflow',
      data: { width: first!.box.width, sideways: shown.sight.sidewaysByUs || undefined },
    })
  else if (ready.every(isCut)) {
    const { height, needs } = ready[0]!.framed!
    faults.push({ code: 'overflow', data: { frameHeight: height, needs } })
  }
  const broken = ready.flatMap((widget) => widget.broken ?? [])
  if (broken.length) faults.push({ code: 'broken-link', data: { problem: brokenWords(broken) } })
  const old = ready.find(({ release }) => plan.release && release !== null && release < plan.release)
  if (old)
    faults.push({ code: 'old-release', data: { release: old.release!, wanted: plan.release!, steps: plan.words } })
  return faults
}

/** Px: less is an edge that nobody misses. */
const AN_EDGE = 24
const isCut = ({ framed }: WidgetSight) => Boolean(framed && framed.needs - framed.height > AN_EDGE)

function brokenWords([first, ...others]: { url: string; problem: string }[]): string {
  const more = others.length ? ` So ${others.length === 1 ? 'does another' : `do ${others.length} others`}.` : ''
  return `${first!.url} ${first!.problem}.${more}`
}

/** A list without items, or nothing at all. */
const isEmpty = ({ items, lists, letters }: WidgetSight) => items === 0 && (lists > 0 || letters === 0)

function notStarted(plan: Plan, { violations, errors, failed, consent }: Sight): Fault {
  const [violation] = violations
  if (violation)
    return {
      code: 'blocked',
      data: {
        problem: `The site's content security policy stopped it in the browser (${violation.directive}).`,
        rule: `${violation.directive} ${plan.origin}`,
      },
    }
  const [failure] = failed
  const problem = errors[0] ?? (failure ? `${failure.url} ${failure.problem}.` : 'Our script did not fill it.')
  return { code: 'script-error', data: { problem, consent: consent ?? undefined } }
}

function hiddenWords({ unseen, coveredBy }: WidgetSight): string {
  if (unseen === 'covered') return `a place that is covered by ${coveredBy ?? 'something else'}`
  if (unseen === 'clipped') return 'a place that is too small to show it'
  if (unseen === 'no-size') return 'a place without any size'
  return `${coveredBy ?? 'a part of the page'} that is not displayed`
}

/** The first of each code. */
const oneEach = (findings: Finding[]): Finding[] =>
  findings.filter(({ code }, at) => findings.findIndex((one) => one.code === code) === at)
