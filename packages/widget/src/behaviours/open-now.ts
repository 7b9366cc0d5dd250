import { openState, stateWords, wallClock } from '@pebblestrand/core/hours/now'
import type { OpenNowData } from '@pebblestrand/core/kinds'
import type { Behaviour } from '../behaviour'

const EVERY_MS = 20_000

/** Whether a place is open now, kept true while the page is open; today's row is marked, and days that are over go. */
const openNow: Behaviour = ({ root, data }) => {
  const { hours, timeZone, locale, words } = data.openNow as OpenNowData
  const tell = () => {
    const now = wallClock(new Date(), timeZone)
    const state = openState(hours, now)
    const said = stateWords(state, words, locale)
    for (const place of root.querySelectorAll<HTMLElement>('[data-open-now]')) {
      place.dataset.openNow = state.isOpen ? 'open' : 'closed'
      if (place.textContent !== said) place.textContent = said
    }
    for (const row of root.querySelectorAll<HTMLElement>('[data-until]')) if (row.dataset.until! < now.day) row.remove()
    const special = hours.special.findLast(
      ({ from, until, weekdays }) =>
        from <= now.day && now.day <= (until || from) && (!weekdays || weekdays.includes(now.weekday)),
    )
    for (const row of root.querySelectorAll<HTMLElement>('tr')) {
      const { first, last, from, until } = row.dataset
      const isToday = special
        ? from === special.from && until === (special.until || from)
        : Number(first) <= now.weekday && now.weekday <= Number(last)
      if (isToday) row.setAttribute('aria-current', 'date')
      else row.removeAttribute('aria-current')
    }
  }
  tell()
  const timer = setInterval(tell, EVERY_MS)
  return () => clearInterval(timer)
}

export default openNow
