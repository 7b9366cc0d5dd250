import type { Stretch } from './letter'

const BLANK = /\{([\w-]+)\}/g

/**
 * A text with what stands in braces filled in, as stretches: `given` is ours, `foreign` what strangers wrote. What nobody gives stays as
 * it is; what is given as nothing takes the space before it along.
 */
export function stretchesOf(
  text: string,
  given: Readonly<Record<string, string>>,
  foreign: Readonly<Record<string, string>>,
): Stretch[] {
  const fill = (name: string): Stretch => {
    if (Object.hasOwn(given, name)) return { text: given[name]! }
    return Object.hasOwn(foreign, name) ? { text: foreign[name]!, isForeign: true } : { text: `{${name}}` }
  }
  // Every second part is what stood in braces.
  const stretches = text.split(BLANK).map((part, at) => (at % 2 === 0 ? { text: part } : fill(part)))
  return stretches.map((one, at) =>
    at % 2 === 0 && stretches[at + 1]?.text === '' ? { text: one.text.replace(/ $/, '') } : one,
  )
}

/** The same in one piece. */
export const filled = (text: string, given: Readonly<Record<string, string>>): string =>
  stretchesOf(text, given, {})
    .map((one) => one.text)
    .join('')
