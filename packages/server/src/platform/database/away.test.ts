import { ConnectionRefusedError, DatabaseError } from 'sequelize'
import { describe, expect, it } from 'vitest'
import { isDatabaseAway } from './away'

const error = (code: string, message = 'x') =>
  new DatabaseError(Object.assign(new Error(message), { code, sql: '' }) as never)

// Codes: PostgreSQL manual, appendix A.
describe('an error that passes', () => {
  it.each(['57P01', '57P03', '53100', '53200', '53300', '58030', 'ECONNREFUSED'])('%s is one', (code) =>
    expect(isDatabaseAway(error(code))).toBe(true),
  )
  it.each(['23505', '22P02', '40P01', '42703', '53400', '58P01', ''])('“%s” is none', (code) =>
    expect(isDatabaseAway(error(code))).toBe(false),
  )
  it('is no connection at all', () => {
    expect(isDatabaseAway(new ConnectionRefusedError(new Error('no')))).toBe(true)
    expect(isDatabaseAway(new Error('Connection terminated unexpectedly'))).toBe(true)
    expect(isDatabaseAway(new Error('no'))).toBe(false)
    expect(isDatabaseAway(null)).toBe(false)
  })
})
