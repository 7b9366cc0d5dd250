/** A family name as CSS has it without quotes: words of letters, digits, hyphens (CSS Fonts Level 4, section 2.1). */
const PLAIN = /^[\p{L}_-][\p{L}\p{N}_-]*(?: [\p{L}_-][\p{L}\p{N}_-]*)*$/u
/** In quotes: whatever cannot end them, the declaration or the style element. */
const QUOTED = /^(["'])([^"'\\;{}<>()/*\n\r]+)\1$/

/** The families of a CSS font-family, each as it may be written; null where some part is no family name. */
export function fontFamilies(value: string): string[] | null {
  const families: string[] = []
  for (const part of value.split(',').map((one) => one.trim())) {
    const quoted = QUOTED.exec(part)?.[2]
    if (quoted) families.push(`"${quoted}"`)
    else if (PLAIN.test(part)) families.push(part)
    else return null
  }
  return families
}

/** A font-family that leaves the style sheet around it whole: what is no list of families becomes the system's own. */
export const fontList = (value: string) => fontFamilies(value)?.join(', ') ?? 'system-ui, sans-serif'
