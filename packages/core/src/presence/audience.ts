import type { Audience } from './rules'
import { wallClock } from '../zoned-time'
import { isWithin } from './hours'
import { mayAppearAt } from './pages'
import type { Arrival, Visitor } from './visit'

/** What keeps somebody from seeing it, as the rehearsal says it. */
export type Barred =
  'page' | 'device' | 'language' | 'country' | 'visits' | 'campaign' | 'came-from' | 'not-yet' | 'over' | 'hours'

interface Asked {
  audience: Audience
  visitor: Visitor
  /** Their so manieth visit, from 1. */
  visits: number
  arrival: Arrival
  now: Date
}

const hostOf = (address: string): string => {
  try {
    return new URL(address).hostname.replace(/^www\./, '')
  } catch {
    return ''
  }
}

/** A host, or one below it. */
const isOf = (host: string, wanted: string) => host === wanted || host.endsWith(`.${wanted}`)

function hasCampaign(query: string, wanted: string): boolean {
  const [name = '', value] = wanted.split(/=(.*)/s)
  const given = new URLSearchParams(query).getAll(name)
  return value === undefined ? given.length > 0 : given.includes(value)
}

/** In the order in which they are asked; the first that bars is said. */
const bars: { says: Barred; bars: (asked: Asked) => boolean }[] = [
  {
    says: 'page',
    bars: ({ audience, arrival: { path } }) => !mayAppearAt(audience, path),
  },
  { says: 'device', bars: ({ audience, visitor }) => !audience.devices.includes(visitor.device) },
  {
    says: 'language',
    bars: ({ audience: { languages }, visitor }) =>
      languages.length > 0 && !languages.includes((visitor.languages[0] ?? '').split('-')[0]!.toLowerCase()),
  },
  {
    says: 'country',
    bars: ({ audience: { countries, whereUnknown }, visitor: { country } }) =>
      countries.length > 0 && (country === null ? !whereUnknown : !countries.includes(country)),
  },
  {
    says: 'visits',
    bars: ({ audience, visits }) =>
      (audience.visits === 'first' && visits > 1) || (audience.visits === 'returning' && visits < 2),
  },
  {
    says: 'campaign',
    bars: ({ audience: { campaign }, arrival: { query } }) => campaign !== '' && !hasCampaign(query, campaign),
  },
  {
    says: 'came-from',
    bars: ({ audience: { cameFrom }, arrival: { referrer } }) =>
      cameFrom.length > 0 && !cameFrom.some((one) => isOf(hostOf(referrer), one)),
  },
  { says: 'not-yet', bars: ({ audience: { from }, now }) => from !== null && now < new Date(from) },
  { says: 'over', bars: ({ audience: { until }, now }) => until !== null && now >= new Date(until) },
  {
    says: 'hours',
    // Clocks somewhere are asked only where they decide: a page looks each second.
    bars: ({ audience: { days, hours }, arrival: { timeZone }, now }) =>
      (days.length > 0 || hours !== null) && !isWithin(wallClock(now, timeZone), days, hours),
  },
]

/** What keeps a visitor from ever seeing it here and now; null for nothing. */
export const barredBy = (asked: Asked): Barred | null => bars.find((one) => one.bars(asked))?.says ?? null
