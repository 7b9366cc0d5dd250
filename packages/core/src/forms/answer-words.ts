import { dateFormat, numberFormat } from '../words'
import { dayMs } from '../zoned-time/days'
import type { Field } from './fields'
import type { Answer } from './reading'

/** An answer as people read it: the words of what was chosen, days and numbers in a language. */
export function sayAnswer(field: Field, answer: Answer, locale: string): string {
  if (typeof answer === 'boolean') return answer ? '✓' : ''
  if (field.is === 'one-of' || field.is === 'several-of') {
    const words = new Map(field.options.map((option) => [option.value, option.words]))
    return [answer]
      .flat()
      .map((one) => words.get(String(one)) ?? String(one))
      .join(', ')
  }
  if (field.is === 'rating') return `${String(answer)}/${field.most}`
  if (field.is === 'date' && typeof answer === 'string' && dayMs(answer) !== null)
    return dateFormat(locale, { dateStyle: 'long', timeZone: 'UTC' }).format(dayMs(answer)!)
  if (typeof answer === 'number') return numberFormat(locale).format(answer)
  return [answer].flat().join(', ')
}
