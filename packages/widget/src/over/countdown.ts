const UNITS = [
  ['day', 86_400],
  ['hour', 3600],
  ['minute', 60],
  ['second', 1],
] as const

/** Two units, from the largest there is: "3 days 4 hours". */
function left(seconds: number, language: string): string {
  const first = Math.max(
    0,
    UNITS.findIndex(([, size]) => seconds >= size),
  )
  let rest = seconds
  return UNITS.slice(first, first + 2)
    .map(([unit, size]) => {
      const count = Math.floor(rest / size)
      rest -= count * size
      return new Intl.NumberFormat(language, { style: 'unit', unit, unitDisplay: 'long' }).format(count)
    })
    .join(' ')
}

/** Counts down to a date. What is read aloud is the date itself: numbers that change each second are no news. */
export function countdown(root: ParentNode): () => void {
  const time = root.querySelector<HTMLTimeElement>('time[data-until]')
  if (!time) return () => {}
  const until = Date.parse(time.dateTime)
  const date = time.textContent
  const language = time.closest<HTMLElement>('[lang]')?.lang ?? 'en'
  time.setAttribute('role', 'img')
  time.setAttribute('aria-label', date)
  const say = () => {
    const seconds = Math.ceil((until - Date.now()) / 1000)
    time.textContent = seconds > 0 ? left(seconds, language) : date
  }
  say()
  const ticking = setInterval(say, 1000)
  return () => clearInterval(ticking)
}
