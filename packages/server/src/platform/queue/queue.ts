import { randomUUID } from 'node:crypto'
import PgBoss from 'pg-boss'
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import type { Context } from '../context'
import { onceBack } from '../database/away'
import { fetchJobs, type FetchedJob } from './fetch-jobs'
import { ENDLESS, timeOf, type JobTime } from './job-time'
import { Taking } from './taking'
import { Watch } from './watch'
import type { Ending, Job, Work } from './work'

/** Of a job whose worker went away, or that failed at something nobody foresaw. */
const RETRY = { retryLimit: 2, retryDelay: 5, retryBackoff: true }
/** Of a job that a person waits for. */
export const WAITED_FOR = 10

const WAITING = `SELECT DISTINCT name FROM queue.job WHERE state < 'active' AND start_after <= now()`

/** The job queue, in the same PostgreSQL: what is queued survives a restart, and several workers share it. */
export class Queue {
  private watch: Watch | null = null

  private constructor(
    private readonly boss: PgBoss,
    private readonly db: Sequelize,
    private readonly onError: (error: Error) => void,
  ) {}

  static async start(
    databaseUrl: string,
    db: Sequelize,
    works: readonly Work[],
    onError: (error: Error) => void,
  ): Promise<Queue> {
    const boss = new PgBoss({ connectionString: databaseUrl, schema: 'queue', max: 4 })
    boss.on('error', onError)
    await boss.start()
    for (const { job, seconds } of works) {
      const how = { ...RETRY, policy: job.oneWaiting ? 'short' : 'standard', expireInSeconds: seconds } as const
      await boss.createQueue(job.name, { name: job.name, ...how })
      // One that is there keeps what it was made with.
      await boss.updateQueue(job.name, { name: job.name, ...how })
    }
    return new Queue(boss, db, onError)
  }

  /** `key` tells jobs apart of which one waiting is enough. */
  async send<Data extends object>(of: Job<Data>, data: Data, key?: string): Promise<void> {
    await this.boss.send(of.name, data, key ? { singletonKey: key } : {})
  }

  /**
   * In the transaction that writes what the jobs are about: neither is there without the other.
   * @param priority higher goes first: `WAITED_FOR` where a person waits for it
   */
  async sendMany<Data extends object>(
    of: Job<Data>,
    all: readonly Data[],
    transaction: Transaction,
    priority = 0,
  ): Promise<void> {
    const jobs = all.map((data) => ({ name: of.name, data, priority }))
    if (jobs.length) await this.insert(jobs, transaction)
  }

  /**
   * In a transaction whose process does the job itself right after it, and then takes it back: the queue does it after so many seconds,
   * should that process have ended before.
   * @returns the job's id, for `takeBack`
   */
  async sendInCase<Data extends object>(
    of: Job<Data>,
    data: Data,
    seconds: number,
    transaction: Transaction,
  ): Promise<string> {
    const id = randomUUID()
    const startAfter = new Date(Date.now() + seconds * 1000)
    await this.insert([{ id, name: of.name, data, startAfter }], transaction)
    return id
  }

  /** A job that need not be done any more. One that has begun goes on. */
  async takeBack({ name }: Job<object>, id: string): Promise<void> {
    await this.boss.cancel(name, id)
  }

  private async insert(jobs: PgBoss.JobInsert<object>[], transaction: Transaction): Promise<void> {
    const db = {
      executeSql: async (text: string, values: unknown[]) => {
        const [rows] = await this.db.query(text, { bind: values.map((value) => value ?? null), transaction })
        return { rows }
      },
    }
    await this.boss.insert(jobs, { db } as PgBoss.InsertOptions)
  }

  /** Begins to do the jobs of one sort. */
  async take(work: Work, context: Context): Promise<void> {
    const { name } = work.job
    this.watch ??= new Watch({ waiting: () => this.waiting(), onError: this.onError })
    this.watch.add(
      new Taking(name, {
        atOnce: work.atOnce,
        fetch: (most) => fetchJobs(this.db, work, most),
        carryOut: async (job) => {
          const ended = await carriedOut(work, context, job, timeOf(work.seconds))
          if (ended instanceof Error) this.onError(ended)
          await onceBack(() => this.note(name, job, ended))
        },
        onError: this.onError,
      }),
    )
    if (work.cron) await this.boss.schedule(name, work.cron, {})
  }

  /** Writes down how a job ended. Killed between the two, what goes on goes on twice: as after any crash. */
  private async note(name: string, { id, data }: FetchedJob, ended: Ending | Error): Promise<void> {
    if (ended instanceof Error) return this.boss.fail(name, id)
    if (ended === 'more') await this.boss.send(name, data)
    await this.boss.complete(name, id)
  }

  /** Names of the jobs that could be taken now. */
  async waiting(): Promise<Set<string>> {
    const rows = await this.db.query<{ name: string }>(WAITING, { type: QueryTypes.SELECT })
    return new Set(rows.map(({ name }) => name))
  }

  /** Takes what waits of one sort and does it here and now, to the end: for tests, which have no worker. */
  async drain(work: Work, context: Context): Promise<number> {
    const { name } = work.job
    for (let done = 0; ; done++) {
      const [next] = (await this.boss.fetch<object>(name, { batchSize: 1 })) ?? []
      if (!next) return done
      const ended = await carriedOut(work, context, next, ENDLESS)
      await this.note(name, next, ended)
      if (ended instanceof Error) throw ended
    }
  }

  async healthy(): Promise<boolean> {
    return (await this.boss.isInstalled()) === true
  }

  async stop(): Promise<void> {
    await this.watch?.stop()
    await this.boss.stop({ graceful: true, timeout: 5000 })
  }
}

/** How a job ended, or what went wrong with it. */
async function carriedOut(
  { run }: Work,
  context: Context,
  { data }: FetchedJob,
  time: JobTime,
): Promise<Ending | Error> {
  try {
    return await (run as (context: Context, data: object, time: JobTime) => Promise<Ending>)(context, data, time)
  } catch (error) {
    return error instanceof Error ? error : new Error(String(error))
  }
}
