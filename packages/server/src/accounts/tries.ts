import type { RateLimiterPostgres } from 'rate-limiter-flexible'
import type { Sequelize } from 'sequelize'
import { AppError } from '../platform/errors'
import { countOne, limiterIn } from '../platform/limits/limiter'

/**
 * Failed tries, and in how many seconds. A stranger is counted at one account from one address, at all accounts from one
 * address, and at one account from all addresses; OWASP ASVS 4.0.3, 2.2.1 allows a hundred an hour at the last. A browser that
 * was used to sign in before is counted by itself alone, so that no stranger can lock an owner out.
 */
const LIMITS = {
  here: { points: 10, duration: 300 },
  address: { points: 60, duration: 300 },
  account: { points: 40, duration: 3600 },
  device: { points: 10, duration: 300 },
}
type Limit = keyof typeof LIMITS

export interface Trier {
  ip: string
  account: string
  /** By what the browser is known to this account; null for a stranger. */
  device: string | null
}

/** Counts failed tries. A success is forgotten. */
export class Tries {
  private readonly limiters: Record<Limit, RateLimiterPostgres>

  /** @param onLimit hears of the first try past a limit */
  constructor(
    db: Sequelize,
    private readonly onLimit: (trier: Trier, limit: Limit) => Promise<void> = async () => {},
  ) {
    const limiter = (name: Limit) => limiterIn(db, name, LIMITS[name])
    this.limiters = {
      here: limiter('here'),
      address: limiter('address'),
      account: limiter('account'),
      device: limiter('device'),
    }
  }

  /** Counts the try before it is made, so that many at once cannot slip through; takes it back when it succeeds. */
  async during<T>(trier: Trier, attempt: () => Promise<T>): Promise<T> {
    const keys = keysOf(trier)
    for (const [limit, key] of keys) await this.count(limit, key, trier)
    const result = await attempt()
    for (const [limit, key] of keys)
      if (limit === 'here' || limit === 'device') await this.limiters[limit].delete(key)
      else await this.limiters[limit].reward(key, 1)
    return result
  }

  private async count(limit: Limit, key: string, trier: Trier): Promise<void> {
    const past = await countOne(this.limiters[limit], key)
    if (!past) return
    if (past.isFirst) await this.onLimit(trier, limit)
    throw new AppError('too-many-tries', { remedy: `Wait ${past.wait}, then try again.` })
  }
}

function keysOf({ ip, account, device }: Trier): [Limit, string][] {
  const name = account.toLowerCase().slice(0, 200)
  if (device) return [['device', device]]
  return [
    ['here', `${ip} ${name}`.slice(0, 240)],
    ['address', ip],
    ['account', name],
  ]
}
