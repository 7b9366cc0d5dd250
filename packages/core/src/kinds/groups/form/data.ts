import { faultLabels, type FaultCode, type FormDefinition } from '../../../forms'
import { labels, spokenLanguage } from '../../../words'
import { usualAround } from '../../spoken'
import type { RenderContext } from '../../kind'
import { say } from './fields-html'
import type { FormSettings } from './settings'

/** What a visitor's browser is told of a form (packages/widget/src/form). */
export interface FormData {
  fields: FormDefinition
  locale: string
  /** IANA, of the site. */
  timeZone: string
  after: { goes: 'thanks' | 'page' | 'closes'; page: string; seconds: number }
  faults: Record<FaultCode, string>
  words: { step: string; sending: string; keptHere: string; notSent: string; mendMarked: string }
}

/** What its behaviour works with; nothing where there are no fields. */
export function formData(settings: FormSettings, context: RenderContext): { form?: FormData } {
  const { fields, locale, after, afterPage, afterSeconds = 5 } = settings
  if (!fields) return {}
  const own = labels[spokenLanguage(locale).labels]
  return {
    form: {
      fields,
      locale,
      timeZone: (context.around ?? usualAround).timeZone,
      after: { goes: after, page: afterPage, seconds: afterSeconds },
      faults: Object.fromEntries(
        Object.entries(faultLabels).map(([code, id]) => [code, own[id]]),
      ) as FormData['faults'],
      words: {
        step: own.step,
        sending: say('sending', locale),
        keptHere: say('keptHere', locale),
        notSent: say('notSent', locale),
        mendMarked: say('mendMarked', locale),
      },
    },
  }
}
