import { fact, type Fact } from './fact'

/** What two looks at one page, one after the other, were answered with; header names in lower case. */
export type Answered = Record<string, string>

/**
 * For how many minutes a copy of a page may be served to visitors, as two looks at it tell: what caches may keep (RFC 9111,
 * section 4.2.1), and whether one does (section 5.1, `Age`).
 */
export function cacheMinutes(first: Answered, second: Answered): Fact<number> {
  const directives = directivesOf(second['cache-control'])
  const isKept = ageOf(second) !== null || ageOf(first) !== null || isHit(second)
  if (directives.has('no-store')) return fact(0, 'its headers: nothing may be kept (no-store)')
  const lifetime = lifetimeOf(second, directives)
  if (lifetime !== null && lifetime > 0 && !(directives.has('no-cache') && !isKept)) {
    const minutes = Math.ceil(lifetime / 60)
    return fact(minutes, isKept ? 'its headers, and an answer that was kept already' : 'its headers')
  }
  const age = Math.max(ageOf(second) ?? 0, ageOf(first) ?? 0)
  if (age > 0) return fact(Math.ceil(age / 60), 'the age of the copy it answered with')
  return fact(0, isKept ? 'its headers: a copy is asked for anew each time' : 'two looks: no copy was kept')
}

/** Seconds a shared cache may serve it without asking; null where nothing says. */
function lifetimeOf(headers: Answered, directives: Map<string, string>): number | null {
  for (const name of ['s-maxage', 'max-age']) {
    const value = directives.get(name)
    if (value !== undefined && /^\d+$/.test(value)) return Number(value)
  }
  if (headers.expires === undefined) return null
  const until = Date.parse(headers.expires)
  const from = Date.parse(headers.date ?? '')
  // A date that is none has passed (RFC 9111, section 5.3).
  if (Number.isNaN(until)) return 0
  return Number.isNaN(from) ? null : Math.max(0, (until - from) / 1000)
}

const ageOf = ({ age }: Answered) => (age !== undefined && /^\d+$/.test(age) ? Number(age) : null)

/** What caches in use say beside the standard's header, or by RFC 9211 (`Cache-Status`). */
const isHit = (headers: Answered) =>
  Object.entries(headers).some(
    ([name, value]) => /cache/.test(name) && name !== 'cache-control' && /\bhit\b/i.test(value),
  )

function directivesOf(value = ''): Map<string, string> {
  return new Map(
    value
      .toLowerCase()
      .split(',')
      .map((part) => {
        const [name, given = ''] = part.split('=')
        return [name!.trim(), given.trim().replace(/^"|"$/g, '')] as const
      }),
  )
}
