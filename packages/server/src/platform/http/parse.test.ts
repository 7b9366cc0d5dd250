import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import type { AppError } from '../errors'
import { parse } from './parse'
import { isOversized, oddField } from './plain-data'

const nested = (depth: number) => JSON.parse(`${'['.repeat(depth)}1${']'.repeat(depth)}`) as unknown
const failed = (run: () => unknown) => {
  try {
    run()
  } catch (error) {
    return error as AppError
  }
  throw new Error('it did not fail')
}

describe('a body', () => {
  // A megabyte of nested arrays kept the server for 25 s, and twice that overflowed its stack.
  it.each([33, 1000, 500_000])('nested %i deep is refused before anything else is done with it', (depth) =>
    expect(failed(() => parse(z.unknown(), nested(depth)))).toMatchObject({ code: 'invalid' }),
  )
  it('with more values than any form has is refused', () =>
    expect(isOversized(Array.from({ length: 100_001 }, () => 1))).toBe(true))
  it('of usual depth is read', () => expect(parse(z.unknown(), nested(20))).toEqual(nested(20)))

  it('has its odd characters named by path, in names as well', () => {
    expect(oddField({ a: [{ b: 'x' }, { b: 'x\0' }] })).toBe('a.1.b')
    expect(oddField({ a: { 'b\ud800': 1 } })).toBe('a.a name')
    expect(oddField('\ud800')).toBe('body')
    expect(oddField({ a: ['well'], b: null, c: 1 })).toBe('')
  })
  it('is held to its schema first: what it leaves out harms nobody', () =>
    expect(parse(z.object({ a: z.string() }), { a: 'x', b: '\0' })).toEqual({ a: 'x' }))
  it('is told so many of its faults', () => {
    const error = failed(() => parse(z.array(z.string()), Array(5000).fill(1)))
    expect(error.more.issues).toHaveLength(50)
  })
})
