import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible'
import type { Sequelize } from 'sequelize'
import { AppError } from '../platform/errors'

const WINDOW_SECONDS = 5 * 60
/** Failed tries for one account from one address, and for all accounts from one address. */
const LIMITS = { account: 10, address: 60 }

/** Counts failed tries in the database, so that several servers count together. A success is forgotten. */
export class Tries {
  private readonly account: RateLimiterPostgres
  private readonly address: RateLimiterPostgres

  constructor(db: Sequelize) {
    const store = {
      storeClient: db,
      storeType: 'sequelize',
      tableName: 'tries',
      tableCreated: true,
      duration: WINDOW_SECONDS,
    }
    this.account = new RateLimiterPostgres({ ...store, keyPrefix: 'account', points: LIMITS.account })
    this.address = new RateLimiterPostgres({ ...store, keyPrefix: 'address', points: LIMITS.address })
  }

  /** Counts the try before it is made, so that many at once cannot slip through; takes it back when it succeeds. */
  async during<T>(ip: string, account: string, attempt: () => Promise<T>): Promise<T> {
    const key = `${ip} ${account.toLowerCase()}`.slice(0, 200)
    await this.count(this.account, key)
    await this.count(this.address, ip)
    const result = await attempt()
    await Promise.all([this.account.delete(key), this.address.reward(ip, 1)])
    return result
  }

  private async count(limiter: RateLimiterPostgres, key: string): Promise<void> {
    try {
      await limiter.consume(key)
    } catch (limit) {
      if (!(limit instanceof RateLimiterRes)) throw limit
      const minutes = Math.max(1, Math.ceil(limit.msBeforeNext / 60_000))
      throw new AppError('too-many-tries', { remedy: `Wait ${minutes} min, then try again.` })
    }
  }
}
