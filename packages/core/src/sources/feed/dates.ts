import { upTo } from '../../text'
// Dates as feeds in the wild write them: RFC 822/1123 with zone names, wrong weekdays and single digits, ISO 8601 in part, and SQL-like.

/** Zone names that RFC 822 section 5.1 lists, and the European ones that feeds use as well; minutes east of UTC. */
const zones: Record<string, number> = {
  UT: 0,
  UTC: 0,
  GMT: 0,
  Z: 0,
  EST: -300,
  EDT: -240,
  CST: -360,
  CDT: -300,
  MST: -420,
  MDT: -360,
  PST: -480,
  PDT: -420,
  WET: 0,
  WEST: 60,
  BST: 60,
  IST: 60,
  CET: 60,
  CEST: 120,
  EET: 120,
  EEST: 180,
}
const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']

/** Reads a feed's date; gives ISO 8601 in UTC, or null where it cannot be read. No zone is taken as UTC. */
export function parseDate(raw: string | undefined | null): string | null {
  const text = raw?.trim()
  if (!text || text.length > 80) return null
  return iso(text) ?? rfc822(text)
}

function iso(text: string): string | null {
  const m =
    /^(\d{4})-(\d{1,2})(?:-(\d{1,2}))?(?:[T\s]+(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,]\d+)?)?)?\s*(Z|[A-Z]{2,4}|[+-]\d{2}:?\d{2})?$/i.exec(
      text,
    )
  if (!m) return null
  return utc(m[1], Number(m[2]) - 1, m[3] ?? '1', m[4], m[5], m[6], m[7])
}

function rfc822(written: string): string | null {
  const text = upTo(written, '(').trim() // a comment stands behind
  const m =
    /^(?:[a-z]{2,9}\.?,?\s+)?(\d{1,2})[\s-]+([a-z]{3})[a-z]*\.?[\s-]+(\d{2,4})(?:,?\s+(\d{1,2}):(\d{2})(?::(\d{2}))?)?(?:\s*([a-z]{1,5}|[+-]\d{2}:?\d{2}))?$/i.exec(
      text,
    )
  if (!m) return null
  const month = months.indexOf(m[2]!.toLowerCase())
  return month < 0 ? null : utc(fullYear(m[3]!), month, m[1]!, m[4], m[5], m[6], m[7])
}

/** RFC 2822 section 4.3: two digits from 00 to 49 mean 20xx, 50 to 99 mean 19xx. */
function fullYear(year: string): string {
  if (year.length > 2) return year
  return Number(year) < 50 ? `20${year}` : `19${year}`
}

function utc(
  year: string | undefined,
  month: number,
  day: string,
  h = '0',
  m = '0',
  s = '0',
  zone?: string,
): string | null {
  const offset = minutesEast(zone)
  if (offset === null) return null
  const at = new Date(Date.UTC(Number(year), month, Number(day), Number(h), Number(m), Number(s)))
  if (Number.isNaN(at.getTime()) || at.getUTCMonth() !== month || at.getUTCDate() !== Number(day) || Number(h) > 23)
    return null
  return new Date(at.getTime() - offset * 60_000).toISOString()
}

function minutesEast(zone: string | undefined): number | null {
  if (!zone) return 0
  const m = /^([+-])(\d{2}):?(\d{2})$/.exec(zone)
  if (m) return (m[1] === '-' ? -1 : 1) * (Number(m[2]) * 60 + Number(m[3]))
  return zones[zone.toUpperCase()] ?? null
}
