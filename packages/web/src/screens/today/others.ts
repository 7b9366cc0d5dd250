import type { WaitingInstall } from '../../api/types'

/** What waits for one person at one site. */
export interface Waited {
  key: string
  to: string
  site: string
  siteId: string
  installs: WaitingInstall[]
  /** ISO 8601: the oldest. */
  since: string
  sheetIds: string[]
  mayRemind: boolean
}

/** Somebody else has it in hand. */
export const isWithOthers = ({ handed, status, retiring }: WaitingInstall): boolean =>
  handed !== null && (status === 'handed-over' || retiring)

/** By person and site, who has waited longest first. */
export function waitedFor(waiting: readonly WaitingInstall[]): Waited[] {
  const found = new Map<string, Waited>()
  for (const install of waiting) {
    const { handed, site, siteId } = install
    if (!handed || !isWithOthers(install)) continue
    const key = `${handed.to.toLowerCase()} ${siteId}`
    const one = found.get(key) ?? {
      key,
      to: handed.to,
      site,
      siteId,
      installs: [],
      since: handed.at,
      sheetIds: [],
      mayRemind: false,
    }
    one.installs.push(install)
    if (handed.at < one.since) one.since = handed.at
    if (!one.sheetIds.includes(handed.sheetId)) one.sheetIds.push(handed.sheetId)
    one.mayRemind ||= handed.mail !== ''
    found.set(key, one)
  }
  return [...found.values()].sort((a, b) => (a.since < b.since ? -1 : 1))
}

/** Whole days since then. */
export const daysSince = (since: string, now = Date.now()): number => Math.floor((now - Date.parse(since)) / 86_400_000)
