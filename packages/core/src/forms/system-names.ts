/**
 * Names beside those of a form's own fields, in what is sent; no field's name can begin so. The trap is a name that robots like to
 * fill in, and nobody sees.
 */
export const SENT = {
  /** Of this submission: answered once, however often it is sent. */
  key: '_key',
  /** Ms between when the form was in sight and when it was sent. */
  took: '_took',
  /** Path of the page it stood on, and the site that led there. */
  page: '_page',
  from: '_from',
  language: '_language',
  trap: '_website',
  proof: '_proof',
} as const

/** Ms: nobody reads and fills in a form in less (common practice in the trade). */
export const SOONEST_MS = 2000
