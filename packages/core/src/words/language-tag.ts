/** A language tag in its canonical form (BCP 47, by the engine); an underline counts as a hyphen, as locales of programs have it. Null for what is none. */
export function languageTag(text: string | null | undefined): string | null {
  const tag = (text ?? '').trim().replaceAll('_', '-')
  if (!tag) return null
  try {
    return Intl.getCanonicalLocales(tag)[0] ?? null
  } catch {
    return null
  }
}
