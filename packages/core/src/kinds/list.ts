import { centreDialog } from './centre-dialog'
import { cornerCard } from './corner-card'
import { edgeBar } from './edge-bar'
import { form } from './form'
import { fullCover } from './full-cover'
import { headlines } from './headlines'
import type { Kind } from './kind'
import { openingHours } from './opening-hours'
import { photoWall } from './photo-wall'
import { picks } from './picks'
import { profileCard } from './profile-card'
import { ratingBadge } from './rating-badge'
import { reviews } from './reviews'
import { videos } from './videos'
import { visitCounter } from './visit-counter'

/** Every kind there is, in the order in which they are offered. Adding one: its folder here, and a line. */
const kinds = [
  headlines,
  reviews,
  ratingBadge,
  photoWall,
  videos,
  picks,
  profileCard,
  visitCounter,
  openingHours,
  form,
  centreDialog,
  edgeBar,
  fullCover,
  cornerCard,
] as unknown as Kind[]

/** Kinds by id, seen through the face all share; a test may add one of its own. */
export const kindList: Record<string, Kind> = Object.fromEntries(kinds.map((kind) => [kind.id, kind]))

/** A kind by its id; undefined where there is none. */
export const kindOf = (id: string): Kind | undefined => (Object.hasOwn(kindList, id) ? kindList[id] : undefined)
