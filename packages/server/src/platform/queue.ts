import PgBoss from 'pg-boss'
import type { Sequelize, Transaction } from 'sequelize'

/** Every job there is, with what it is given. */
export interface Jobs {
  'source-refresh': { sourceId: string }
  'sources-due': Record<string, never>
  check: { checkId: string }
  'checks-lost': Record<string, never>
  tidy: Record<string, never>
}
export type JobName = keyof Jobs
const names: JobName[] = ['source-refresh', 'sources-due', 'check', 'checks-lost', 'tidy']

const RETRY = { retryLimit: 2, retryDelay: 5, retryBackoff: true }

/** The job queue, in the same PostgreSQL: what is queued survives a restart, and several workers share it. */
export class Queue {
  private constructor(
    private readonly boss: PgBoss,
    private readonly db: Sequelize,
    private readonly onError: (error: Error) => void,
  ) {}

  static async start(databaseUrl: string, db: Sequelize, onError: (error: Error) => void): Promise<Queue> {
    const boss = new PgBoss({ connectionString: databaseUrl, schema: 'queue', max: 4 })
    boss.on('error', onError)
    await boss.start()
    for (const name of names)
      await boss.createQueue(name, {
        name,
        policy: name === 'source-refresh' ? 'short' : 'standard',
        ...RETRY,
        expireInSeconds: 120,
      })
    return new Queue(boss, db, onError)
  }

  /** `key` keeps a second job of the same kind from being queued beside a waiting one. */
  async send<N extends JobName>(name: N, data: Jobs[N], key?: string): Promise<void> {
    await this.boss.send(name, data as object, key ? { singletonKey: key } : {})
  }

  /** In the transaction that writes what the jobs are about: neither is there without the other. */
  async sendMany<N extends JobName>(name: N, all: Jobs[N][], transaction: Transaction): Promise<void> {
    const db = {
      executeSql: async (text: string, values: unknown[]) => {
        const [rows] = await this.db.query(text, { bind: values.map((value) => value ?? null), transaction })
        return { rows }
      },
    }
    const jobs = all.map((data) => ({ name, data: data as object }))
    if (jobs.length) await this.boss.insert(jobs, { db } as PgBoss.InsertOptions)
  }

  /** `atOnce` jobs are taken together and the next ones when all of them are done; a slow one holds up its own lane only. */
  async work<N extends JobName>(
    name: N,
    { lanes, atOnce }: { lanes: number; atOnce: number },
    handler: (data: Jobs[N]) => Promise<void>,
  ): Promise<void> {
    const take = async (jobs: PgBoss.Job<Jobs[N]>[]) => {
      const results = await Promise.allSettled(jobs.map((job) => handler(job.data)))
      // The batch counts as done when this returns; a job that failed is marked by itself and tried again.
      await Promise.all(
        results.map((result, i) => {
          if (result.status === 'fulfilled') return undefined
          this.onError(result.reason instanceof Error ? result.reason : new Error(String(result.reason)))
          return this.boss.fail(name, jobs[i]!.id)
        }),
      )
    }
    for (let lane = 0; lane < lanes; lane++)
      await this.boss.work<Jobs[N]>(name, { pollingIntervalSeconds: 0.5, batchSize: atOnce }, take)
  }

  async every(name: JobName, cron: string): Promise<void> {
    await this.boss.schedule(name, cron, {})
  }

  async healthy(): Promise<boolean> {
    return (await this.boss.isInstalled()) === true
  }

  async stop(): Promise<void> {
    await this.boss.stop({ graceful: true, timeout: 5000 })
  }
}
