import type { Route } from '@pebblestrand/contract'
import type { RateLimiterPostgres } from 'rate-limiter-flexible'
import type { Sequelize } from 'sequelize'
import { AppError } from '../platform/errors'
import type { Count } from '../platform/http/serve'
import { countOne, limiterIn } from '../platform/limits/limiter'

/** Counts each person's calls of each route by themselves. */
export function countBy(db: Sequelize): Count {
  const limiters = new Map<string, RateLimiterPostgres>()
  const limiterOf = ({ path, often }: Route) => {
    const made = limiters.get(path) ?? limiterIn(db, path, { points: often!.times, duration: often!.seconds })
    limiters.set(path, made)
    return made
  }
  return async (route, userId) => {
    const past = await countOne(limiterOf(route), userId)
    if (past) throw new AppError('too-often', { remedy: `Wait ${past.wait}, then go on.` })
  }
}
