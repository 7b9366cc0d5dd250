import { GrantDesk } from '../accounts/grants'
import type { Store } from '../state/store'
import { crowdOf } from './crowd'
import { places, type Place, type Voice } from './places'
import type { KeptReview, VoicesState } from './state'

const DAY = 86_400_000
const folded = (text: string) =>
  text
    .normalize('NFKD')
    .replace(/[\p{M}’']/gu, '')
    .toLowerCase()

export interface Summary {
  /** To one decimal; 0 where nobody has rated. */
  mean: number
  count: number
}

/** People who own places, as the consent page knows them. */
export const accounts = [
  { id: 'isles-office', name: 'Skerrow Isles Office', owns: (place: Place) => place.slug !== 'sels-boat-repairs' },
  { id: 'sel', name: 'Sel Brannigan', owns: (place: Place) => place.slug === 'sels-boat-repairs' },
]

/** Places and what is said of them: what the service was born with, and what people have changed since. */
export class Voices {
  readonly desk = new GrantDesk(
    accounts,
    () => this.state,
    (edit) => this.change(edit),
  )
  private readonly born = new Map<string, KeptReview[]>()

  constructor(private readonly store: Store) {}

  readonly all: readonly Place[] = places

  place = (id: string): Place | undefined => places.find((one) => one.id === id)
  bySlug = (slug: string): Place | undefined => places.find((one) => one.slug === slug)

  /** Every word in the name, the category or the address. A business without an address is not found. */
  find(words: string): Place[] {
    const wanted = folded(words).split(/\s+/).filter(Boolean)
    return places.filter(({ name, category, address }) => {
      if (!address) return false
      const text = folded(`${name} ${category} ${address}`)
      return wanted.length > 0 && wanted.every((word) => text.includes(word))
    })
  }

  /** The newest first. */
  reviews({ id }: Place): KeptReview[] {
    const { added, edited, deleted } = this.store.voices
    const gone = new Set(deleted)
    return [...(added[id] ?? []), ...this.bornOf(id)]
      .filter((review) => !gone.has(review.id))
      .map((review) => (edited[review.id] ? { ...review, ...edited[review.id] } : review))
      .sort((a, b) => (a.createdAt < b.createdAt ? 1 : a.createdAt > b.createdAt ? -1 : 0))
  }

  summary(place: Place): Summary {
    const rated = this.reviews(place).filter(({ stars }) => stars > 0)
    const sum = rated.reduce((total, { stars }) => total + stars, 0)
    return { mean: rated.length ? Math.round((sum / rated.length) * 10) / 10 : 0, count: rated.length }
  }

  change = (edit: (voices: VoicesState) => void) => this.store.changeVoices(edit)
  get state() {
    return this.store.voices
  }

  private bornOf(id: string): KeptReview[] {
    const known = this.born.get(id)
    if (known) return known
    const place = this.place(id)!
    const start = this.store.startedAt.getTime()
    const all = [...place.voices, ...crowdOf(place)].map((voice, at) => keptFrom(voice, place, at, start))
    this.born.set(id, all)
    return all
  }
}

/** One in forty was changed some days after it was written. */
function keptFrom(voice: Voice, { slug }: Place, at: number, start: number): KeptReview {
  const written = start - voice.daysAgo * DAY
  const created = new Date(written).toISOString()
  const changed = at % 40 === 39 ? new Date(written + 3 * DAY).toISOString() : created
  return {
    id: `${slug}-${at}`,
    author: voice.author,
    stars: voice.stars,
    text: voice.text,
    language: voice.language ?? 'en',
    createdAt: created,
    changedAt: changed,
    pictures: Array.from({ length: voice.pictures ?? 0 }, (_, i) => `${slug}-${at}-${i}`),
    reply: voice.reply ? { text: voice.reply, at: new Date(written + DAY).toISOString() } : null,
  }
}
