import type { FoundSource, Tried } from '@pebblestrand/contract'
import { sourceKinds, type Given, type Meant } from '@pebblestrand/core/sources'
import type { Context } from '../platform/context'
import { findDocuments } from './documents/find-documents'
import { readDocument } from './documents/read-document'
import type { Known, SourceReading } from './reading'
import { findPlaces } from './review-service/find-places'
import { findProfiles } from './photo-service/find-profiles'
import { readStream } from './photo-service/read-stream'
import { readPlace } from './review-service/read-place'

export interface Finding {
  found: FoundSource[]
  tried: Tried[]
}

/** What a search is for, who hears of its tries, and how it goes on with another sort. */
export interface Search {
  gives: readonly Given[]
  tell(tried: Tried): void
  other(kind: string, meant: Meant): Promise<Finding>
}

/** How far a reading has come: so many entries of all there are. */
export type TellProgress = (progress: { read: number; of: number }) => void

/** The server's side of a sort of source: how it is found and how its bytes are come by. */
export interface Connector {
  /** The sources behind what was pasted. Throws an AppError that says what was tried and what to paste instead. */
  find(context: Context, meant: Meant, search: Search): Promise<Finding>
  /** Asks for what is new since it was `known`, and gives up when `until` says so. Whatever goes wrong is part of the answer. */
  read(context: Context, known: Known, until?: AbortSignal, tell?: TellProgress): Promise<SourceReading>
}

const document = (id: string): Connector => ({
  find: (context, meant, search) => findDocuments(context, sourceKinds[id]!, meant, search),
  read: (context, known, until) => readDocument(context, sourceKinds[id]!, known, { until }),
})

/** Connectors by the sort of source (core/sources). A document at an address is the usual case; what is kept here has none. */
export const connectors: Record<string, Connector> = {
  feed: document('feed'),
  'video-feed': document('video-feed'),
  'structured-data': document('structured-data'),
  'review-service': { find: findPlaces, read: readPlace },
  'photo-service': { find: findProfiles, read: readStream },
}
