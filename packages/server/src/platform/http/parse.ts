import type { z } from 'zod'
import { AppError } from '../errors'

/** Reads a body, query or parameter through its schema. Throws `invalid` with a line for each field. */
export function parse<S extends z.ZodType>(schema: S, value: unknown): z.infer<S> {
  const result = schema.safeParse(value)
  if (result.success) return result.data
  const issues = result.error.issues.map((issue) => ({ field: issue.path.join('.') || 'body', message: issue.message }))
  const first = issues[0]!
  throw new AppError('invalid', { message: `${first.field}: ${first.message}.`, issues })
}
