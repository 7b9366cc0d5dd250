/** A thing of structured data, however it was written: types without their vocabulary, properties as lists. */
export interface Thing {
  types: string[]
  properties: Record<string, Value[]>
}
export type Value = string | number | Thing

/** "https://schema.org/Review", "schema:Review", "Review" are one type. */
export const typeName = (type: string) => type.replace(/^.*[/#:]/, '')

export const isThing = (value: Value | undefined): value is Thing => typeof value === 'object'

export const first = (thing: Thing, ...names: string[]): Value | undefined =>
  names.flatMap((name) => thing.properties[name] ?? [])[0]

/** A property as text: of a thing its name, or where it is found. */
export function textOf(thing: Thing, ...names: string[]): string {
  const value = first(thing, ...names)
  if (value === undefined) return ''
  if (isThing(value)) return textOf(value, 'name', 'url', '@id')
  return String(value).replace(/\s+/g, ' ').trim()
}

/** Every thing in some, those within others too; each once, so deep at most. */
export function* everyThing(things: readonly Thing[]): Generator<Thing> {
  const open = [...things]
  const seen = new Set<Thing>()
  for (let thing = open.shift(); thing; thing = open.shift()) {
    if (seen.has(thing)) continue
    seen.add(thing)
    yield thing
    for (const values of Object.values(thing.properties)) open.push(...values.filter(isThing))
  }
}
