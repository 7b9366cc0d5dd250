import { fromEntries, type Field } from '@pebblestrand/core/forms/filling'

type Raw = Record<string, unknown>

/** What is typed and chosen at present, by the names of the fields. */
export function valuesIn(form: HTMLFormElement): Raw {
  const entries = [...new FormData(form)].filter(
    (entry): entry is [string, string] => typeof entry[1] === 'string' && !entry[0].startsWith('_'),
  )
  const raw: Raw = fromEntries(entries)
  // What a browser cannot make a number or a day of, it gives as nothing at all.
  for (const input of form.querySelectorAll('input')) if (input.validity.badInput) raw[input.name] = '?'
  return raw
}

/** Puts values back, as they were typed and chosen. What was agreed to is agreed to anew. */
export function putBack(form: HTMLFormElement, fields: readonly Field[], raw: Raw): void {
  for (const field of fields) {
    if (!Object.hasOwn(raw, field.name) || field.is === 'hidden' || field.is === 'consent') continue
    const values = [raw[field.name]].flat().map(String)
    for (const control of form.querySelectorAll<HTMLInputElement>(`[name="${field.name}"]`))
      if (control.type === 'radio' || control.type === 'checkbox') control.checked = values.includes(control.value)
      else control.value = values[0] ?? ''
  }
}

/** The page the visitor is on; in a frame, the one around it as far as the browser tells. */
export const pageAddress = (): URL | null => {
  const address = window === window.parent ? location.href : document.referrer
  return URL.canParse(address) ? new URL(address) : null
}

/** Fills in what nobody types: where they are, and what the address says. */
export function fillHidden(form: HTMLFormElement, fields: readonly Field[]): void {
  const page = pageAddress()
  for (const field of fields) {
    if (field.is !== 'hidden') continue
    const control = form.elements.namedItem(field.name) as HTMLInputElement | null
    if (!control) continue
    const parameter = field.from === 'campaign' ? 'utm_campaign' : field.value
    control.value =
      field.from === 'fixed'
        ? field.value
        : field.from === 'page'
          ? page
            ? page.origin + page.pathname
            : ''
          : (page?.searchParams.get(parameter) ?? '')
  }
}
