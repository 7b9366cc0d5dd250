import { isStorable } from '@pebblestrand/core/items'

/** What no form of ours comes near: deeper or larger than this is no honest request. */
const MOST = { depth: 32, values: 100_000 }

/** A value, and where it stands: its name, and the place of what it stands in. The path is built only when it is asked for. */
interface Place {
  value: unknown
  name: string
  within: Place | null
  depth: number
}

/** Every value in parsed JSON, without recursion: a body may be nested as deep as it is long. */
function* valuesIn(value: unknown): Generator<Place> {
  const open: Place[] = [{ value, name: '', within: null, depth: 0 }]
  for (let at = open.pop(); at; at = open.pop()) {
    yield at
    if (at.value === null || typeof at.value !== 'object') continue
    const within = at
    for (const [name, inner] of Object.entries(at.value)) open.push({ value: inner, name, within, depth: at.depth + 1 })
  }
}

/** Whether a body is nested too deep, or holds too many values, to be looked at further. */
export function isOversized(value: unknown): boolean {
  let count = 0
  for (const { depth } of valuesIn(value)) if (depth > MOST.depth || ++count > MOST.values) return true
  return false
}

/** Path of a field whose text, or whose name, holds what no database text may; '' where all is well. */
export function oddField(value: unknown): string {
  for (const place of valuesIn(value)) {
    if (!isStorable(place.name)) return [...pathOf(place.within), 'a name'].join('.')
    if (typeof place.value === 'string' && !isStorable(place.value)) return pathOf(place).join('.') || 'body'
  }
  return ''
}

function pathOf(place: Place | null): string[] {
  const path: string[] = []
  for (let at = place; at?.within; at = at.within) path.unshift(at.name)
  return path
}
