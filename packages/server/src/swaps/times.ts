import { DateTime } from 'luxon'
import { AppError } from '../platform/errors'

/** A site's own time as a moment. One that a change of clocks leaves out is as much later; of two that it makes of one, the first (RFC 5545, section 3.3.5). @param local 2026-12-01T08:00 */
export function momentIn(local: string, timeZone: string, field: string): Date {
  const at = DateTime.fromISO(local, { zone: timeZone })
  if (!at.isValid)
    throw new AppError('invalid', {
      message: `${field}: is no day and time there.`,
      issues: [{ field, message: 'is no day and time there' }],
    })
  return new Date(Math.min(...at.getPossibleOffsets().map((one) => one.toMillis())))
}
