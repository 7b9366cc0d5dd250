import type { OpenState, TimeOnDay } from './open-state'

/** What is said of each state; `{time}` and `{day}` are filled in. */
export interface StateWords {
  openUntil: string
  alwaysOpen: string
  opensToday: string
  opensTomorrow: string
  opensOn: string
  closedTodayOpensOn: string
  closed: string
}

/** Days within which a weekday is enough to name a day. */
const NEAR = 6

/** A time as a language writes it. @param minutes since midnight */
export const timeWords = (minutes: number, locale: string): string =>
  new Intl.DateTimeFormat(locale, { timeStyle: 'short', timeZone: 'UTC' }).format(minutes * 60_000)

const dayWords = ({ days, day }: TimeOnDay, locale: string): string =>
  new Intl.DateTimeFormat(locale, {
    timeZone: 'UTC',
    ...(days <= NEAR ? { weekday: 'long' } : { day: 'numeric', month: 'long' }),
  }).format(new Date(`${day}T00:00Z`))

/** A state in a sentence: "Open until 18:00", "Closed today, opens Thursday at 09:00". */
export function stateWords(state: OpenState, words: StateWords, locale: string): string {
  const at = state.isOpen ? state.until : state.opens
  const filled = (sentence: string) =>
    at ? sentence.replace('{time}', timeWords(at.minutes, locale)).replace('{day}', dayWords(at, locale)) : sentence
  if (state.isOpen) return state.until ? filled(words.openUntil) : words.alwaysOpen
  if (!state.opens) return words.closed
  if (state.opens.days === 0) return filled(words.opensToday)
  if (!state.today) return filled(words.closedTodayOpensOn)
  return filled(state.opens.days === 1 ? words.opensTomorrow : words.opensOn)
}
