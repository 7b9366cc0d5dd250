// A format of the language's own takes a hundred times as long to make as to use, and a list asks for the same one line by line.

/** So many of a sort; a widget needs one or two. */
const MOST = 200

function kept<Options, Format>(make: (locale: string, options?: Options) => Format) {
  const known = new Map<string, Format>()
  return (locale: string, options?: Options): Format => {
    const by = options ? `${locale} ${JSON.stringify(options)}` : locale
    const there = known.get(by)
    if (there) return there
    if (known.size >= MOST) known.clear()
    const made = make(locale, options)
    known.set(by, made)
    return made
  }
}

/** The same as `new Intl.NumberFormat(…)`, made once; throws RangeError as that does. */
export const numberFormat = kept((locale, options?: Intl.NumberFormatOptions) => new Intl.NumberFormat(locale, options))
export const dateFormat = kept(
  (locale, options?: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat(locale, options),
)
export const pluralRules = kept((locale, options?: Intl.PluralRulesOptions) => new Intl.PluralRules(locale, options))
