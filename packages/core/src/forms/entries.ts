/**
 * Names and values that one form sends at the most: every option of each of its fields (form.ts, fields.ts), and room for what we add.
 * More is no form of ours, and is not read at all.
 */
export const MOST_ENTRIES = 2500

/** What a form sends under one name. */
export type SentValue = string | number | boolean | null | string[]

/** What was sent is no form of ours: too many names, or a value that no field gives. */
export class NotAForm extends Error {}

/** Names and values as a form sends them without a script: what is there more than once is a list. @throws NotAForm */
export function fromEntries(entries: Iterable<readonly [string, string]>): Record<string, string | string[]> {
  const all = new Map<string, string[]>()
  let count = 0
  for (const [name, value] of entries) {
    if (++count > MOST_ENTRIES) throw new NotAForm('It has more entries than any form.')
    const before = all.get(name)
    if (before) before.push(value)
    else all.set(name, [value])
  }
  return Object.fromEntries([...all].map(([name, values]) => [name, values.length === 1 ? values[0]! : values]))
}

/** The same of a body as browsers send it (URL standard, 5: application/x-www-form-urlencoded). @throws NotAForm */
export function fromFormBody(body: string): Record<string, string | string[]> {
  // Counted before anything is taken apart.
  let count = 1
  for (let at = body.indexOf('&'); at >= 0; at = body.indexOf('&', at + 1))
    if (++count > MOST_ENTRIES) throw new NotAForm('It has more entries than any form.')
  return fromEntries(new URLSearchParams(body))
}

/** The same of parsed JSON, as a site's own code sends it. @throws NotAForm */
export function fromJson(body: unknown): Record<string, SentValue> {
  if (typeof body !== 'object' || body === null || Array.isArray(body)) throw new NotAForm('It is no object.')
  const members = Object.entries(body)
  if (members.length > MOST_ENTRIES) throw new NotAForm('It has more entries than any form.')
  for (const [name, value] of members) if (!isSentValue(value)) throw new NotAForm(`No field gives what "${name}" is.`)
  return Object.fromEntries(members) as Record<string, SentValue>
}

const isSentValue = (value: unknown): value is SentValue =>
  value === null ||
  ['string', 'number', 'boolean'].includes(typeof value) ||
  (Array.isArray(value) && value.length <= MOST_ENTRIES && value.every((one) => typeof one === 'string'))
