import type { Stretch } from './letter'

const BLANK = /\{([\w-]+)\}/g

/** A text with what stands in braces filled in; what nobody gives stays as it is. */
export const filled = (text: string, given: Readonly<Record<string, string>>): string =>
  text.replace(BLANK, (whole, name: string) => (Object.hasOwn(given, name) ? given[name]! : whole))

/** The same as stretches: `given` is ours, `foreign` what strangers wrote. */
export function stretchesOf(
  text: string,
  given: Readonly<Record<string, string>>,
  foreign: Readonly<Record<string, string>>,
): Stretch[] {
  // Every second part is what stood in braces.
  return text.split(BLANK).map((part, at) => {
    if (at % 2 === 0) return { text: part }
    if (Object.hasOwn(given, part)) return { text: given[part]! }
    return Object.hasOwn(foreign, part) ? { text: foreign[part]!, isForeign: true } : { text: `{${part}}` }
  })
}
