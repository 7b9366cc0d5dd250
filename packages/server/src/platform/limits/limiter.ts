import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible'
import type { Sequelize } from 'sequelize'

interface LimiterOptions {
  points: number
  /** Seconds. */
  duration: number
  /** So many, and the rest of the time this server says no by itself: a flood does not reach the database. */
  inMemoryBlockOnConsumed?: number
}

/** Counts in the database, so that several servers count together: so many `points` of one key in so many seconds. */
export const limiterIn = (db: Sequelize, name: string, limit: LimiterOptions) =>
  new RateLimiterPostgres({
    ...limit,
    keyPrefix: name,
    storeClient: db,
    storeType: 'sequelize',
    tableName: 'tries',
    tableCreated: true,
  })

/** Counts one more. Null while it is within the limit; past it, for how long, and whether it is the first past it. */
export async function countOne(
  limiter: RateLimiterPostgres,
  key: string,
): Promise<{ wait: string; isFirst: boolean } | null> {
  try {
    await limiter.consume(key)
    return null
  } catch (result) {
    if (!(result instanceof RateLimiterRes)) throw result
    const seconds = Math.max(1, Math.ceil(result.msBeforeNext / 1000))
    return {
      wait: seconds < 90 ? `${seconds} s` : `${Math.ceil(seconds / 60)} min`,
      isFirst: result.consumedPoints === limiter.points + 1,
    }
  }
}
