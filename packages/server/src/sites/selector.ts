import { readSelector } from '@pebblestrand/core/verify'
import { AppError } from '../platform/errors'

const SAYS =
  'must be a CSS selector of names, #ids, .classes, [attributes], :not() of those, >, +, ~ and positions like :nth-child(2)'

/** Refuses a selector that is not matched in one pass over a page (core/verify/selector.ts). */
export function requireSelector(selector: string | null | undefined): void {
  if (selector && !readSelector(selector))
    throw new AppError('invalid', {
      message: `selector: ${SAYS}.`,
      issues: [{ field: 'selector', message: SAYS }],
    })
}
