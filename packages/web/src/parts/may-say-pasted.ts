import { SITE_TAG } from '@pebblestrand/contract'
import type { RegisterRow } from '../api/types'

/** Whether a person can say of an install that it was pasted: not of one that the site's tag brings, of which nothing is pasted. */
export const maySayPasted = ({ status, method, kind }: Pick<RegisterRow, 'status' | 'method' | 'kind'>): boolean =>
  (status === 'planned' || status === 'handed-over') && (method !== 'tag' || kind === SITE_TAG)
