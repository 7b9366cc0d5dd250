import { stringify } from 'csv-stringify/sync'
import { withoutFormulas } from '../text/formulas'
import type { Answer } from './reading'
import type { Consent } from './taken'

/** One lead as it leaves. */
export interface ExportedLead {
  id: string
  /** ISO 8601. */
  at: string
  form: string
  site: string
  page: string
  state: string
  test: boolean
  from: string
  language: string
  answers: Record<string, Answer>
  consents: readonly Consent[]
}

const FIRST = ['id', 'at', 'form', 'site', 'page', 'state', 'test', 'from', 'language'] as const

/** As CSV (RFC 4180): what all leads have, then a column for each field that any of them answered, then what they agreed to. */
export function leadsCsv(leads: readonly ExportedLead[]): string {
  const fields = [...new Set(leads.flatMap(({ answers }) => Object.keys(answers)))]
  const cell = (answer: Answer | undefined) =>
    answer === undefined
      ? ''
      : withoutFormulas(
          [answer]
            .flat()
            .map((one) => (one === true ? 'yes' : String(one)))
            .join('; '),
        )
  return stringify(
    [
      [...FIRST, ...fields.map((name) => `answer:${name}`), 'consents'],
      ...leads.map((lead) => [
        ...FIRST.map((name) =>
          typeof lead[name] === 'boolean' ? (lead[name] ? 'yes' : 'no') : withoutFormulas(String(lead[name])),
        ),
        ...fields.map((name) => cell(Object.hasOwn(lead.answers, name) ? lead.answers[name] : undefined)),
        withoutFormulas(
          lead.consents.map(({ words, release, at }) => `${words} (release ${release}, ${at})`).join('; '),
        ),
      ]),
    ],
    { record_delimiter: '\r\n' },
  )
}

export const leadsJson = (leads: readonly ExportedLead[]): string =>
  JSON.stringify({ format: 'pebblestrand-leads', version: 1, leads }, null, 2)
