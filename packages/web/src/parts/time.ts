import { ref } from 'vue'

/** The present, moved on every half minute, so that "12 min ago" stays true. */
export const now = ref(Date.now())
setInterval(() => (now.value = Date.now()), 30_000)

const day = 86_400_000
const short = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
const exact = new Intl.DateTimeFormat(undefined, { dateStyle: 'full', timeStyle: 'medium' })

/** "just now", "12 min ago", "3 h ago", "4 d ago", "3 Nov, 09:14" */
export function ago(iso: string, at: number): string {
  const then = Date.parse(iso)
  const seconds = Math.max(0, (at - then) / 1000)
  if (seconds < 45) return 'just now'
  if (seconds < 3600) return `${Math.round(seconds / 60)} min ago`
  if (seconds < 86_400) return `${Math.round(seconds / 3600)} h ago`
  if (at - then < 7 * day) return `${Math.round((at - then) / day)} d ago`
  return short.format(then)
}

/** Of what is to come: "in a moment", "in 12 min", "in 3 h", "in 4 d", "3 Nov, 09:14". */
export function until(iso: string, at: number): string {
  const seconds = (Date.parse(iso) - at) / 1000
  if (seconds < 45) return 'in a moment'
  if (seconds < 3600) return `in ${Math.round(seconds / 60)} min`
  if (seconds < 86_400) return `in ${Math.round(seconds / 3600)} h`
  return seconds < 7 * 86_400 ? `in ${Math.round(seconds / 86_400)} d` : short.format(Date.parse(iso))
}

export const exactTime = (iso: string) => exact.format(Date.parse(iso))
export const shortTime = (iso: string) => short.format(Date.parse(iso))
