import { describe, expect, it } from 'vitest'
import { aboveFields, ApiError } from './error'

const invalid = (...fields: string[]) =>
  new ApiError(
    400,
    'invalid',
    'Wrong.',
    'Correct it.',
    fields.map((field) => ({ field, message: 'must be right' })),
  )

describe('what stands above a form', () => {
  it('counts fields, not what is wrong with them', () => {
    expect(aboveFields(invalid('days', 'days')).message).toBe('One field is not right yet.')
    expect(aboveFields(invalid('days', 'name', 'days')).message).toBe('2 fields are not right yet.')
  })
  it('is the error itself where no field is meant', () => {
    const error = new ApiError(409, 'draft-changed', 'Changed elsewhere.', 'Look again.')
    expect(aboveFields(error)).toBe(error)
  })
})
