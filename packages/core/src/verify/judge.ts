import { catalogue } from './catalogue'
import type { Finding } from './finding'
import { judgeMissing } from './judge-missing'
import { judgePresent } from './judge-present'
import { judgeSights, sightsIn } from './judge-sight'
import type { ReadLook } from './look'
import { isBrowserLook, lookKinds } from './look-kinds'
import type { Plan } from './plan'
import { isSamePage, movedTo, problemOf } from './reach'
import { borrowsScript } from './borrowed-script'
import { markAround } from './place/mark'
import { isMarkGone, type Place } from './region'
import { liesIn, note, scriptsFor, seenBy, tagOn, type Seen } from './seen'
import { statusAfter } from './status'
import type { InstallStatus } from './status-names'
import { roomOf, widthChange } from './width-change'

/** What stands on the page for a reader in a hurry. */
export interface Facts {
  status: number
  finalUrl: string
  /** Region of the first live copy; null where there is none or nothing tells. */
  region: string | null
  /** By what its region is known. */
  regionBy: Place['by']
  copies: number
  /** Whether the site's tag was there; null where the site has none. */
  tag: boolean | null
  /** A selector of what it stands in, for a placement that has no mark that fits. */
  mark: string | null
  /** Where that is drawn in a wide window, px; null where no browser looked. */
  markBox: { x: number; y: number; width: number; height: number } | null
  /** Px that a wide window leaves it, where a browser looked. */
  room: number | null
  /** Of the newest state we got, to compare with at the next check. */
  fingerprint: string | null
}

/** Something worth saying that is no fault. */
export interface Note {
  code: 'place-not-told' | 'mark-gone' | 'no-browser' | 'width-changed' | 'borrowed-script' | 'old-text' | 'handed-text'
  says: string
}

export interface Verdict {
  /** The weightiest first, those that are muted last. */
  findings: Finding[]
  notes: Note[]
  status: InstallStatus
  facts: Facts
}

/** A page at the two moments that matter: as visitors get it, and as it is past its cache, the same where that was not seen. */
interface States {
  served: Seen
  newest: Seen
  /** As editors see it, where an address for that was given. */
  preview: Seen | null
}

/**
 * Compares what a page showed with what was planned for one install on it. Pure: the same looks give the same findings.
 * @param looks of one page, the one a visitor gets first; the others that failed count for nothing
 */
export function judge(plan: Plan, looks: readonly ReadLook[]): Verdict {
  const served = seenBy(plan, looks[0]!)
  const { look, page } = served
  const failed = look.error || look.status >= 400
  const destination = failed ? null : movedTo(look, page)
  // A page that only leads on was not seen itself.
  if (destination && destination !== look.finalUrl)
    return verdict(plan, [note('moved', { destination }, served)], served)
  const shown = sightsIn(plan, looks)
  const problem = problemOf(look, page)
  // What a browser gets past, visitors get past: a page that scripts fill, a question to robots.
  const base = problem && shown.length ? shown.at(-1)!.seen : served
  if (problem && base === served) return verdict(plan, [note('unreachable', { problem }, served)], served)
  const past = looks.find((read) => isPastCache(read, served))
  const newest = past ? seenBy(plan, past) : base
  const moved = destination ? [note('moved', { destination }, served)] : []
  const preview = looks.find((read) => read.look.how === 'preview' && !problemOf(read.look, read.page))
  const states = { served: base, newest, preview: preview ? seenBy(plan, preview) : null }
  const running = tagRunning(plan, looks)
  if (running && !isThere(plan, newest))
    return verdict(plan, [...moved, ...judgePresent(plan, running)], running, newest)
  const own = findingsOf(plan, states)
  const findings =
    shown.length && !plan.retiring
      ? judgeSights(plan, own, onlyNewer(plan, own, states), shown)
      : [...own, ...stillShown(plan, own, shown)]
  const clearest = shown.at(-1)?.seen.mine.length ? shown.at(-1)!.seen : newest
  return verdict(
    plan,
    [...moved, ...findings, ...undelivered(plan, newest, findings)],
    clearest,
    newest,
    [...browserNote(looks), ...widthNote(plan, looks)],
    roomOf(plan, looks),
  )
}

/** A site's tag that the page's own scripts put there, as tag managers do: only a browser sees it. */
function tagRunning(plan: Plan, looks: readonly ReadLook[]): Seen | null {
  if (plan.tag !== plan.install) return null
  const look = looks.findLast(({ look, page }) => isBrowserLook(look.how) && !problemOf(look, page))
  const seen = look && seenBy(plan, look)
  return seen?.mine.length ? seen : null
}

/** Its form was tried, and what was sent did not arrive. Where visitors do not see it at all, that says enough. */
const undelivered = (plan: Plan, newest: Seen, findings: readonly Finding[]): Finding[] =>
  plan.undelivered && !plan.retiring && findings.every(({ code }) => 'isSeen' in catalogue[code])
    ? [note('form-not-delivering', { problem: plan.undelivered }, newest, newest.mine)]
    : []

/** Of the findings, those of the newest state that visitors do not get yet. */
function onlyNewer(plan: Plan, own: Finding[], states: States): Finding[] {
  if (states.newest === states.served) return []
  const theirs = faultsOf(plan, states.served, states)
  return own.filter(({ code }) => code !== 'cached-copy' && !theirs.some((one) => one.code === code))
}

/** What a browser was to look at and could not. */
function browserNote(looks: readonly ReadLook[]): Note[] {
  const failed = looks.find(({ look }) => isBrowserLook(look.how) && look.error)
  return failed ? [{ code: 'no-browser', says: `It was not seen in a browser: ${failed.look.error!.message}` }] : []
}

function widthNote(plan: Plan, looks: readonly ReadLook[]): Note[] {
  const change = widthChange(plan, looks)
  return change
    ? [say('width-changed', `Its place is ${change.now} px wide now; ${change.was} px were read before.`)]
    : []
}

/** Meant to be gone, and a browser shows what the markup did not let expect. */
const stillShown = (plan: Plan, own: Finding[], shown: ReturnType<typeof sightsIn>): Finding[] =>
  own.length
    ? []
    : shown
        .filter(({ widgets }) => widgets.length)
        .slice(0, 1)
        .map(({ seen }) => note('still-there', { steps: plan.words }, seen, seen.mine))

/** Only a page that could be seen says anything: what was led elsewhere past the cache, or asked to sign in, is not the page. */
const isPastCache = (read: ReadLook, served: Seen) =>
  lookKinds[read.look.how].pastCache &&
  !problemOf(read.look, read.page) &&
  isSamePage(read.look.finalUrl, served.look.finalUrl) &&
  !(read.look.status >= 300) &&
  !movedBy(read)

const movedBy = ({ look, page }: ReadLook) => {
  const destination = movedTo(look, page)
  return destination !== null && destination !== look.finalUrl
}

function findingsOf(plan: Plan, states: States): Finding[] {
  if (plan.retiring) return judgeGone(plan, states)
  const { served, newest } = states
  const own = faultsOf(plan, newest, states)
  if (newest === served) return own
  const theirs = faultsOf(plan, served, states)
  if (!theirs.length || sameCodes(own, theirs)) return own
  // Where it is in neither state, the newest says why; else visitors get something older and worse.
  if (!own.length || isThere(plan, newest) || isThere(plan, served) || served.asText.length)
    return [...own, old(plan, served, theirs[0]!)]
  return own
}

const sameCodes = (some: readonly Finding[], others: readonly Finding[]) =>
  others.every(({ code }) => some.some((one) => one.code === code))

/** What is wrong with the install in one state of the page. */
function faultsOf(plan: Plan, seen: Seen, { served, newest, preview }: States): Finding[] {
  if (isThere(plan, seen)) return judgePresent(plan, seen)
  return judgeMissing(plan, seen, {
    again: served === newest ? null : seen === served ? newest : served,
    pastCache: served !== newest,
    stillServed: seen !== served && isThere(plan, served),
    preview: preview && isThere(plan, preview) ? preview : null,
  })
}

const isThere = (plan: Plan, seen: Seen) => seen.mine.length > 0 && isOurs(plan, seen)

function old(plan: Plan, served: Seen, fault: Finding): Finding {
  const shows = isThere(plan, served) || served.mine.length || served.asText.length ? fault.title : undefined
  return note('cached-copy', { age: ageOf(served), steps: plan.words, shows }, served, served.mine)
}

/** Copies that load from this Pebblestrand: one that names its origin says so itself, another by its script; one without any script counts as ours. */
function isOurs(plan: Plan, seen: Seen): boolean {
  return seen.mine.some((t) => {
    if (t.origin !== null) return t.origin === plan.origin
    const scripts = scriptsFor(seen, t)
    return !scripts.length || scripts.some(({ origin }) => origin === plan.origin)
  })
}

/** Gone is what leaves no trace that visitors could meet again: a copy in a comment was taken out, one that is only put off was not. */
const leftIn = ({ mine, asText, orphans, dead }: Seen) => [
  ...mine,
  ...orphans,
  ...asText,
  ...dead.filter(({ where }) => where !== 'comment'),
]

function judgeGone(plan: Plan, { served, newest }: States): Finding[] {
  const seen = [newest, served].find((state) => leftIn(state).length)
  if (!seen) return []
  const left = leftIn(seen)
  if (seen === served && newest !== served)
    return [note('cached-copy', { age: ageOf(served), steps: plan.words }, served, left)]
  const found = liesIn(plan, seen, left[0]!.node).region ?? undefined
  return [note('still-there', { found, steps: plan.words }, seen, left)]
}

function verdict(
  plan: Plan,
  found: Finding[],
  clearest: Seen,
  newest = clearest,
  more: Note[] = [],
  room: number | null = null,
): Verdict {
  const isMuted = ({ code }: Finding) => Number(plan.muted.includes(code))
  const findings = [...found].sort((a, b) => isMuted(a) - isMuted(b) || b.weight - a.weight)
  const [first] = clearest.mine
  const { look } = newest
  const markGone = first ? isMarkGone(clearest.page, plan.placement?.selector) : false
  const place = first ? liesIn(plan, clearest, first.node) : null
  const mark =
    first && plan.placement && (!plan.placement.selector || markGone) ? markAround(clearest.page, first.node) : null
  const drawn =
    clearest.look.how === 'desktop' ? clearest.look.sight?.widgets.find(({ id }) => id === plan.install) : undefined
  const facts = {
    status: look.status,
    finalUrl: look.finalUrl,
    region: place?.region ?? null,
    regionBy: place?.by ?? null,
    copies: clearest.mine.length,
    tag: plan.tag ? tagOn(plan, clearest) !== null : null,
    mark: mark?.selector ?? null,
    markBox: mark ? (drawn?.around?.[mark.steps] ?? null) : null,
    room,
    fingerprint: look.error || look.status >= 300 ? null : newest.fingerprint(),
  }
  const notes = [
    ...(place && place.inside === null
      ? [
          say(
            'place-not-told',
            `It is on the page; whether it stands in the ${plan.placement!.region} could not be told.`,
          ),
        ]
      : []),
    ...(markGone
      ? [say('mark-gone', 'The mark of its placement fits nothing on the page any more: the theme has changed.')]
      : []),
    ...(first && !plan.retiring ? borrowed(plan, clearest) : []),
    ...(first && !plan.retiring ? oldText(plan, first) : []),
    ...(first ? handedText(plan, first) : []),
    ...more,
  ]
  return { findings, notes, status: statusAfter(plan, findings), facts }
}

/** Its own script is not there; that of another of our widgets on the page runs it, as long as that one stands there. */
const borrowed = (plan: Plan, seen: Seen): Note[] =>
  borrowsScript(plan, seen)
    ? [
        say(
          'borrowed-script',
          'Its own script is not on the page: the script of another widget there runs it, and when that one goes, it stops.',
        ),
      ]
    : []

const say = (code: Note['code'], says: string): Note => ({ code, says })

/** Seconds, from the Age header (RFC 9111, section 5.1). */
function ageOf({ look }: Seen): number | undefined {
  const { age } = look.headers
  return age && /^\d+$/.test(age) ? Number(age) : undefined
}

/** Whose hands it came from: the very text that somebody was given. */
const handedText = ({ handed }: Plan, { version }: { version: string | null }): Note[] => {
  const givenTo = handed.filter(({ mark }) => mark === version).map(({ to, day }) => `${to} (${day})`)
  return givenTo.length ? [say('handed-text', `It is the very text that was handed to ${givenTo.join(' and ')}.`)] : []
}

/** Pasted from a text of before: it works, and is not what the install's snippet says now. */
const oldText = ({ texts }: Plan, { version }: { version: string | null }): Note[] =>
  version !== null && texts.length && !texts.includes(version)
    ? [say('old-text', 'The text on the page is an older one than the install’s present snippet.')]
    : []
