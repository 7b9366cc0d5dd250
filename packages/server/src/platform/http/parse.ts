import { isStorable } from '@pebblestrand/core/items'
import type { z } from 'zod'
import { AppError } from '../errors'

/** The first field whose text holds what no database text may; '' where all is well. */
function oddField(value: unknown, path: string[] = []): string {
  if (typeof value === 'string') return isStorable(value) ? '' : path.join('.') || 'body'
  if (value === null || typeof value !== 'object') return ''
  for (const [key, inner] of Object.entries(value)) {
    const odd = isStorable(key) ? oddField(inner, [...path, key]) : [...path, 'a name'].join('.')
    if (odd) return odd
  }
  return ''
}

const ODD = 'holds a character that is no letter (NUL, or half of one)'

/** Reads a body, query or parameter through its schema. Throws `invalid` with a line for each field. */
export function parse<S extends z.ZodType>(schema: S, value: unknown): z.infer<S> {
  const odd = oddField(value)
  if (odd) throw new AppError('invalid', { message: `${odd}: ${ODD}.`, issues: [{ field: odd, message: ODD }] })
  const result = schema.safeParse(value)
  if (result.success) return result.data
  const issues = result.error.issues.map((issue) => ({ field: issue.path.join('.') || 'body', message: issue.message }))
  const first = issues[0]!
  throw new AppError('invalid', { message: `${first.field}: ${first.message}.`, issues })
}
