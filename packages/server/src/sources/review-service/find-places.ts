import type { FoundSource } from '@pebblestrand/contract'
import type { Meant } from '@pebblestrand/core/sources'
import {
  entryOf,
  pageOf,
  PlaceAnswer,
  PlacesAnswer,
  reviewService,
  ReviewsAnswer,
} from '@pebblestrand/core/sources/review-service'
import { readingOf } from '@pebblestrand/core/items'
import type { Context } from '../../platform/context'
import { AppError } from '../../platform/errors'
import type { Finding, Search } from '../connector'
import { Service, ServiceFault } from '../service/ask'
import { idsBehind } from '../service/ids-behind'
import { placeFault } from './place-fault'

const MOST_FOUND = 8
const PREVIEW = 3

const INSTEAD =
  'Paste the address of its page there, the code that shows it on a map, or its id: a business without a street address is not found by its name.'

/** Places by id, by words, or behind a page of the service, each with its newest reviews. */
export async function findPlaces(context: Context, meant: Meant, { tell }: Search): Promise<Finding> {
  const service = new Service({ context, service: 'reviews', faultOf: placeFault, token: null })
  try {
    const { places, tried } = await placesMeant(context, service, meant)
    tell(tried)
    if (!places.length) throw new AppError('no-place', { remedy: INSTEAD, data: { tried: [tried] }, issues: [NONE] })
    const found = await Promise.all(places.slice(0, MOST_FOUND).map((place) => described(service, place)))
    return { found, tried: [tried] }
  } catch (error) {
    if (!(error instanceof ServiceFault)) throw error
    if (error.fault.code === 'gone') throw new AppError('no-place', { remedy: INSTEAD, issues: [NONE] })
    const { message, remedy } = error.fault
    throw new AppError('fetch-failed', { message, remedy, issues: [{ field: 'address', message }] })
  }
}

const NONE = { field: 'address', message: 'no place was found by it' }

async function placesMeant(context: Context, service: Service, meant: Meant) {
  if (meant.what === 'words') {
    const { places } = await service.get(`/api/places?q=${encodeURIComponent(meant.words)}`, PlacesAnswer)
    return { places, tried: { url: meant.words, outcome: `a search for these words: ${counted(places.length)}` } }
  }
  if (meant.what === 'id')
    return { places: [await placeBy(service, meant.id)], tried: { url: meant.id, outcome: 'a place’s id' } }
  const ids = await idsBehind(context, reviewService, meant.address, INSTEAD)
  const places = await Promise.all(ids.slice(0, 1).map((id) => placeBy(service, id)))
  return {
    places,
    tried: { url: meant.address, outcome: places.length ? 'a page of one place' : 'a page of no place' },
  }
}

const counted = (count: number) => (count === 1 ? 'one place' : count ? `${count} places` : 'no place')

const placeBy = (service: Service, id: string) => service.get(`/api/places/${encodeURIComponent(id)}`, PlaceAnswer)

async function described(service: Service, place: PlaceAnswer): Promise<FoundSource> {
  const { id, name, address, rating, count, page } = place
  const { reviews } = await service.get(
    `/api/places/${encodeURIComponent(id)}/reviews?sort=newest&limit=${PREVIEW}`,
    ReviewsAnswer,
  )
  const at = `${service.origin}${page}`
  return {
    kind: reviewService.id,
    url: pageOf(service.origin, id),
    title: name,
    address: address ?? 'no street address',
    format: 'review-service',
    count,
    how: 'given',
    rating: rating === null ? null : { mean: rating, count },
    hours: null,
    newest: reviews.map((review) => {
      const { body, publishedAt, link, author } = entryOf(review, at)
      const stars = review.stars === null ? '' : `${review.stars} of 5, `
      const said = body.text ? `: ${readingOf(body).title(body)}` : ', without words'
      return { title: `${stars}${author ?? 'someone'}${said}`, publishedAt, link }
    }),
  }
}
