import { withoutTrailing } from '../text'
import { sayAnswer } from './answer-words'
import type { Field } from './fields'
import type { Answer } from './reading'

// A reply goes to any address that a stranger gives, in the client's name. What the stranger wrote can be in it as a name can be, and
// as nothing else: no address to go to, no number to call, no message.

/** Letters of a name: longer ones are no names (common practice). */
const MOST = 60

/** What mail programs make a link of by themselves, and what leads to one: `://`, `www.`, `a.b`, `@`, a path. */
const LEADS_AWAY = /[@/\\]|www\.|[\p{L}\p{N}][.。．｡][\p{L}\p{N}]/iu

/** Text from a stranger as a name: one line, short, and nothing at all where it leads somewhere. */
export function asName(text: string): string {
  const line = text.replace(/[\s\p{Cc}\p{Cf}]+/gu, ' ').trim()
  if (LEADS_AWAY.test(line)) return ''
  const letters = [...line]
  return letters.length > MOST ? withoutTrailing(letters.slice(0, MOST).join(''), (one) => one === ' ') : line
}

/** A telephone number so that only whoever gave it knows which: its last three digits. */
const asEnd = (number: string): string => `… ${number.replace(/\D/g, '').slice(-3)}`

/**
 * An answer as a reply may repeat it. What was chosen or counted is in our own words; what was typed is cut down to what a name can be.
 * @param toMail where the reply goes: the one address that it may name
 */
export function sayInReply(field: Field, answer: Answer, locale: string, toMail: string): string {
  switch (field.is) {
    case 'short':
    case 'long':
      return asName(String(answer))
    case 'email':
      return answer === toMail ? toMail : ''
    case 'telephone':
      return asEnd(String(answer))
    case 'hidden':
      return field.from === 'fixed' ? String(answer) : asName(String(answer))
    default:
      return sayAnswer(field, answer, locale)
  }
}
