import {
  decide,
  deviceOf,
  rememberAnswered,
  rememberClosed,
  rememberShown,
  type Moment,
  type PresenceRules,
} from '@pebblestrand/core/presence/deciding'
import { HELD, OVER_READY, pathTo } from '@pebblestrand/core/wire'
import { Keeping } from './keeping'
import type { Standing } from './standing'
import { Watching } from './watching'

/** One that takes its turn. */
export interface Turn {
  /** Public id of the install. */
  id: string
  /** Id of the widget; '' where nobody told. */
  widget: string
  rules: PresenceRules
  timeZone: string
  standing: Standing
  origin: string
}

/** Milliseconds between two looks at the clock. */
const TICK = 1000

/** Milliseconds in which those of a page come together, so that the one with the highest priority goes first. */
const GATHER_MS = 300
let gathering = 0

const turns = new Map<string, Turn>()
const keeping = new Keeping()
let watching: Watching | null = null
let country: string | null | undefined
const asked = new Set<string>()

/** Where this visitor came from is theirs to tell on the first page; later ones of a page that does not load keep it. */
const { referrer } = document

function moment(timeZone: string): Moment {
  const now = new Date()
  return {
    visitor: { device: deviceOf(innerWidth), languages: navigator.languages, country: country ?? null },
    arrival: {
      path: location.pathname,
      query: location.search.slice(1),
      fragment: location.hash.slice(1),
      referrer,
      timeZone,
    },
    progress: watching!.progress,
    memory: keeping.read(now),
    shown: watching!.shown,
    open: [...turns.values()].filter(({ standing }) => standing.isOpen).map(({ id }) => id),
    now,
  }
}

/** Held back in this tab by who looks at the page itself. */
function isHeld(id: string): boolean {
  try {
    const held = sessionStorage.getItem(HELD)
    return held !== null && held !== id
  } catch {
    return false
  }
}

let isLooking = false
/** Looks what is to be shown now; changes that come together are looked at once. */
function soon(): void {
  if (isLooking) return
  isLooking = true
  queueMicrotask(() => ((isLooking = false), look()))
}

/** What the page has taken out meanwhile takes no turn any more, and gives back what it took. */
function forgetGone(): void {
  for (const [id, { standing }] of turns)
    if (!standing.element.isConnected) {
      standing.close()
      turns.delete(id)
    }
}

function look(): void {
  forgetGone()
  const all = [...turns.values()].filter(({ id }) => !isHeld(id))
  const waits = all.some(({ rules }) => rules.audience.countries.length > 0)
  if (!all.length || document.hidden || (waits && country === undefined)) return
  const at = moment(all[0]!.timeZone)
  for (const { id, shows, isAsked } of decide(all, at)) if (shows) show(turns.get(id)!, isAsked)
  watching!.heard()
}

/** @param asked the visitor wanted it */
function show(turn: Turn, asked: boolean): void {
  if (!turn.rules.beside)
    for (const other of turns.values()) if (other !== turn && !other.rules.beside) other.standing.close()
  turn.standing.open()
  watching!.shown.push(turn.id)
  keeping.change((memory) => rememberShown(memory, turn.id), new Date())
  say(turn, 'shown', { asked })
}

/** An event on the page, for the site's own code. */
function say({ standing, id, widget }: Turn, what: 'shown' | 'closed' | 'pressed', more: object = {}): void {
  standing.element.dispatchEvent(
    new CustomEvent(`pebblestrand:${what}`, { bubbles: true, composed: true, detail: { id, widget, ...more } }),
  )
}

/** Closed by the visitor. */
export function close(id: string): void {
  const turn = turns.get(id)
  if (!turn?.standing.isOpen) return
  turn.standing.close()
  const now = new Date()
  keeping.change((memory) => rememberClosed(memory, id, now), now)
  say(turn, 'closed')
}

/** It did what it is for: something in it was pressed. */
export function answer(id: string, words: string, closes: boolean): void {
  const turn = turns.get(id)
  if (!turn) return
  const now = new Date()
  keeping.change((memory) => rememberAnswered(memory, id, now), now)
  say(turn, 'pressed', { words })
  if (closes) turn.standing.close()
}

/** Opens one at once, by its install's or its widget's id; false where it is not on this page. */
export function open(id: string): boolean {
  const turn = turns.get(id) ?? [...turns.values()].find(({ widget }) => widget === id)
  if (!turn) return false
  show(turn, true)
  return true
}

/** Takes one in; gives what takes it out again. */
export function join(turn: Turn): () => void {
  watching ??= begin()
  turns.set(turn.id, turn)
  turn.standing.element.setAttribute(OVER_READY, '')
  watching.follow(turn.rules.triggers)
  if (turn.rules.audience.countries.length) void askCountry(turn.origin)
  if (asked.delete(turn.id)) open(turn.id)
  clearTimeout(gathering)
  gathering = window.setTimeout(soon, GATHER_MS)
  return () => {
    turns.delete(turn.id)
    turn.standing.close()
  }
}

/** Opens one as soon as it is here. */
export const openSoon = (id: string): void => void (open(id) || asked.add(id))

/** What a script of the site asks for: where that is a trigger of it, its rules say to whom it is shown; else it opens as by an opener. */
export function call(id: string): void {
  if (!turns.get(id)?.rules.triggers.some(({ on }) => on === 'call')) return openSoon(id)
  watching!.called.add(id)
  soon()
}

function begin(): Watching {
  const watching = new Watching(soon)
  // Seconds, idleness, hours of the day: whatever only the clock tells.
  setInterval(() => turns.size && (watching.look(), look()), TICK)
  document.addEventListener('visibilitychange', soon)
  return watching
}

/** Asked for once, and only where something is for some countries: the server tells what the operator's own proxy says. */
async function askCountry(origin: string): Promise<void> {
  if (country !== undefined) return
  country = null
  try {
    const answer = await fetch(origin + pathTo('country'), { credentials: 'omit' })
    const told = answer.ok ? ((await answer.json()) as { country: string | null }).country : null
    country = told
  } catch {
    // unknown, and then as the rules say
  }
  soon()
}
