import type { Behaviour } from '../behaviour'

const MINUTE = 60_000

/** Units from the largest, with how many seconds each has; a month and a year as they are on average (Gregorian calendar). */
const UNITS: [Intl.RelativeTimeFormatUnit, number][] = [
  ['year', 31_556_952],
  ['month', 2_629_746],
  ['week', 604_800],
  ['day', 86_400],
  ['hour', 3600],
  ['minute', 60],
]

/** "3 weeks ago" in the widget's language, kept true while the page is open; the exact date stays as its title. */
const ago: Behaviour = ({ root }) => {
  const language = root.querySelector('[lang]')?.getAttribute('lang') || undefined
  const format = new Intl.RelativeTimeFormat(language, { numeric: 'auto' })
  const tell = () => {
    for (const time of root.querySelectorAll<HTMLTimeElement>('time[data-ago]')) {
      const seconds = (Date.parse(time.dateTime) - Date.now()) / 1000
      if (Number.isNaN(seconds)) continue
      time.title ||= time.textContent ?? ''
      const [unit, length] = UNITS.find(([, length]) => Math.abs(seconds) >= length) ?? UNITS.at(-1)!
      time.textContent = format.format(Math.round(seconds / length), unit)
    }
  }
  tell()
  const timer = setInterval(tell, MINUTE)
  // More of a list may come later.
  const grown = new MutationObserver((changes) => {
    if (changes.some(({ addedNodes }) => [...addedNodes].some((node) => node instanceof Element))) tell()
  })
  grown.observe(root, { childList: true, subtree: true })
  return () => {
    clearInterval(timer)
    grown.disconnect()
  }
}
export default ago
