/** An absolute http(s) address, resolved against `base`; null where there is none. */
export function absolute(href: string | undefined | null, base: string | null): string | null {
  if (!href?.trim()) return null
  try {
    const url = new URL(href.trim(), base ?? undefined)
    return url.protocol === 'http:' || url.protocol === 'https:' ? url.href : null
  } catch {
    return null
  }
}
