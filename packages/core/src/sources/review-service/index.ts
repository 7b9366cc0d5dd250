import { placesNamed, recognise } from './pasted'
import type { SourceKind } from '../source-kind'

export { PlaceAnswer, PlacesAnswer, ReviewsAnswer, ServiceReview, entryOf } from './answers'
export { pageOf } from './pasted'

/** Places on a service where people say what they think of them, each known by an id. */
export const reviewService: SourceKind = {
  id: 'review-service',
  name: 'Review service',
  gives: ['review'],
  interval: 5,
  keeps: 20_000,
  service: 'reviews',
  recognise,
  named: placesNamed,
}
