import { load } from 'cheerio'
import { AppError } from '../platform/errors'

/** Refuses a selector that nothing could ever be matched by. */
export function requireSelector(selector: string | null | undefined): void {
  if (!selector) return
  try {
    load('<i></i>')('i').is(selector)
  } catch {
    throw new AppError('invalid', {
      message: 'selector: is not a CSS selector.',
      issues: [{ field: 'selector', message: 'is not a CSS selector' }],
    })
  }
}
