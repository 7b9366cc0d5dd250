import { duration } from '@pebblestrand/core/words'
import type { SourceDetail } from '../../api/types'

const sorts: Record<string, string> = {
  feed: 'feed',
  'structured-data': 'page with structured data',
  'review-service': 'place on the review service',
  'video-feed': 'films',
  'photo-service': 'on the photo service',
  'kept-here': 'kept here',
  picks: 'collection of picks',
}

/** What a source's sort is called in a line. */
export const sortOf = ({ kind }: Pick<SourceDetail, 'kind'>): string => sorts[kind] ?? kind

export type Health = 'well' | 'paused' | 'fails' | 'reconnect'

export const healthOf = ({ paused, problem }: SourceDetail): Health =>
  problem?.code === 'reconnect' ? 'reconnect' : paused ? 'paused' : problem ? 'fails' : 'well'

/** How often it is read, in words. */
export const rhythm = ({ paused, intervalMinutes }: SourceDetail): string =>
  paused ? 'paused' : `read every ${duration(intervalMinutes)}`
