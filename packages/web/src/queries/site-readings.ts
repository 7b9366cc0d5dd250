import { routes, type Answer } from '@pebblestrand/contract'
import { ask } from '../api/call'
import { useAsk } from './query'

const { siteReadings } = routes

export type Reading = Answer<typeof siteReadings.read>['reading']
export type SiteRead = NonNullable<Reading['read']>
export type ReadRoom = SiteRead['rooms'][number]

const isUnderWay = (reading: Reading) => reading.state === 'queued' || reading.state === 'running'

export const startReading = (address: string, siteId: string | null = null) =>
  ask(siteReadings.start, { body: { address, siteId } })
export const stopReading = (id: string) => ask(siteReadings.stop, { params: { id } })

/** How far a reading is; asked again until it is through. */
export const useReading = (id: () => string) =>
  useAsk(siteReadings.read, () => ({ params: { id: id() } }), {
    when: () => id() !== '',
    again: (answer) => (!answer || isUnderWay(answer.reading) ? 700 : 0),
  })

export const pictureOf = (readingId: string) => `/api/site-readings/${readingId}/picture`
