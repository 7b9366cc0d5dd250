/** What begins a formula (OWASP, CSV injection), as wide letters too. */
const FORMULA = /^[=+\-@\t\r＝＋－＠]/
const NUMBER = /^[+-]?[\d\s().,/-]+$/

/**
 * What spreadsheets take for a formula they are not to: an apostrophe before it makes it text. Where semicolons, bars or tabs part the
 * columns, what comes after one begins a cell of its own, and after a line break a row.
 */
export const withoutFormulas = (text: string): string =>
  text
    .split(/([;|\t\r\n])/)
    .map((part, at) =>
      at % 2 === 0 && FORMULA.test(part.trimStart()) && !NUMBER.test(part.trim()) ? `'${part}` : part,
    )
    .join('')

/** The text again, for our own files that are read back: apostrophes before what would begin a formula are taken off. */
export const withFormulas = (text: string): string =>
  text
    .split(/([;|\t\r\n])/)
    .map((part, at) =>
      at % 2 === 0 && part.startsWith("'") && FORMULA.test(part.slice(1).trimStart()) ? part.slice(1) : part,
    )
    .join('')
