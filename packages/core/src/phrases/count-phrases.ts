import { mentionsAny } from '../sieve'
import type { Said, SharedPhrase } from './find-phrases'

/** Phrases that a person chose, in their order, with how many texts have each; one that stands nowhere is not claimed. */
export const countPhrases = (said: readonly Said[], chosen: readonly string[]): SharedPhrase[] =>
  chosen.flatMap((text) => {
    const mentions = mentionsAny([`"${text.replaceAll('"', '')}"`])
    const having = said.filter((one) => mentions(one.text, one.language))
    return having.length ? [{ text, count: having.length, examples: having.slice(0, 2).map(({ id }) => id) }] : []
  })
