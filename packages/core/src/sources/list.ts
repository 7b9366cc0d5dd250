import { feed } from './feed'
import { keptHere } from './kept-here'
import { photoService } from './photo-service'
import { picks } from './picks'
import { reviewService } from './review-service'
import { structuredData } from './structured-data'
import { videoFeed } from './video-feed'
import type { Given } from './facts'
import type { SourceKind } from './source-kind'

/** Every sort of source, by id, in the order in which pasted text is offered to them. Adding one: its file and a line here. */
export const sourceKinds: Record<string, SourceKind> = {
  [feed.id]: feed,
  [reviewService.id]: reviewService,
  [photoService.id]: photoService,
  [videoFeed.id]: videoFeed,
  [structuredData.id]: structuredData,
  [keptHere.id]: keptHere,
  [picks.id]: picks,
}

/** The sorts that give such. */
export const kindsGiving = (gives: readonly Given[]): SourceKind[] =>
  Object.values(sourceKinds).filter((one) => one.gives.some((type) => gives.includes(type)))
