import { z } from 'zod'
import { OpeningHours } from '../hours/opening-hours'
import { bodyTypes, Picture, type BodyType } from '../items/bodies'
import { Profile } from './profile'

/** What a source says of the place, the person or the thing it is of, beside its items; null where it says nothing. */
export const SourceFacts = z.object({
  /** What its ratings come to as it says itself, of all there are and not only those listed. */
  rating: z.object({ mean: z.number(), count: z.number() }).nullable(),
  /** Of the place or the thing itself. */
  picture: Picture.nullable(),
  /** Who it is of, at its service. */
  profile: Profile.nullable(),
  /** When the place is open. */
  hours: OpeningHours.nullable(),
})
export type SourceFacts = z.infer<typeof SourceFacts>
export type FactName = keyof SourceFacts

export const factNames = Object.keys(SourceFacts.shape) as [FactName, ...FactName[]]

/** Facts that a widget can be made of, without any items. */
export const wholeFacts = ['hours'] as const satisfies readonly FactName[]

/** What a source can be wanted for: its items, or one of these facts. */
export const givenNames = [...bodyTypes, ...wholeFacts] as [Given, ...Given[]]
export type Given = BodyType | (typeof wholeFacts)[number]

export const isWholeFact = (given: Given): given is (typeof wholeFacts)[number] =>
  (wholeFacts as readonly string[]).includes(given)

/** The facts among other members. */
export const factsOf = (source: Partial<SourceFacts>): SourceFacts =>
  Object.fromEntries(factNames.map((name) => [name, source[name] ?? null])) as unknown as SourceFacts
