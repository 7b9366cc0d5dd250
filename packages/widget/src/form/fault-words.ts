import type { FormData } from '@pebblestrand/core/kinds'
import type { FieldFault } from '@pebblestrand/core/forms/filling'

/** What is wrong, in the visitor's language. */
export function faultWords(
  { code, limit }: FieldFault,
  { faults, locale }: Pick<FormData, 'faults' | 'locale'>,
): string {
  const n =
    typeof limit === 'string'
      ? new Intl.DateTimeFormat(locale, { dateStyle: 'long', timeZone: 'UTC' }).format(new Date(`${limit}T00:00:00Z`))
      : limit === undefined
        ? ''
        : new Intl.NumberFormat(locale).format(limit)
  return faults[code].replace('{n}', n)
}

const controls = 'input,select,textarea'

/** Says at a field what is wrong with it; null takes that away. */
export function markField(form: HTMLFormElement, name: string, words: string | null): void {
  const field = form.querySelector<HTMLElement>(`[data-field="${name}"]`)
  const error = field?.querySelector<HTMLElement>('.er')
  if (!field || !error) return
  error.textContent = words ?? ''
  error.hidden = !words
  for (const control of field.querySelectorAll(controls))
    if (words) control.setAttribute('aria-invalid', 'true')
    else control.removeAttribute('aria-invalid')
}

/** Marks all of these, and takes the marks of the others among them; the first is given the focus. */
export function markAll(
  form: HTMLFormElement,
  names: readonly string[],
  faults: Readonly<Record<string, FieldFault>>,
  told: Pick<FormData, 'faults' | 'locale'>,
): boolean {
  for (const name of names) markField(form, name, Object.hasOwn(faults, name) ? faultWords(faults[name]!, told) : null)
  const first = names.find((name) => Object.hasOwn(faults, name))
  if (first) form.querySelector<HTMLElement>(`[data-field="${first}"] :is(${controls})`)?.focus()
  return !first
}
