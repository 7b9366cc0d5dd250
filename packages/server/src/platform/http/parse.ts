import type { z } from 'zod'
import { AppError } from '../errors'
import { isOversized, oddField } from './plain-data'

const ODD = 'holds a character that is no letter (NUL, or half of one)'
/** More than a person would correct at once. */
const MOST_ISSUES = 50

/** Reads a body, query or parameter through its schema. Throws `invalid` with a line for each field. */
export function parse<S extends z.ZodType>(schema: S, value: unknown): z.infer<S> {
  if (isOversized(value)) throw new AppError('invalid', { message: 'What was sent is nested too deep, or too long.' })
  const result = schema.safeParse(value)
  if (!result.success) throw invalid(result.error.issues)
  // Only what the schema let in can do harm.
  const odd = oddField(result.data)
  if (odd) throw new AppError('invalid', { message: `${odd}: ${ODD}.`, issues: [{ field: odd, message: ODD }] })
  return result.data
}

function invalid(problems: readonly { path: PropertyKey[]; message: string }[]): AppError {
  const issues = problems
    .slice(0, MOST_ISSUES)
    .map(({ path, message }) => ({ field: path.join('.') || 'body', message }))
  const first = issues[0]!
  return new AppError('invalid', { message: `${first.field}: ${first.message}.`, issues })
}
