import { QueryTypes } from 'sequelize'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { allWork } from '../../start'
import { startTestSystem, type TestSystem } from '../../testing/system'
import { timeOf } from './job-time'
import { Queue } from './queue'
import { job, work, type Work } from './work'

let system: TestSystem
const queues: Queue[] = []
beforeAll(async () => void (system = await startTestSystem()))
afterAll(async () => {
  for (const queue of queues) await queue.stop()
  await system.stop()
})
const queueFor = async (works: readonly Work[]) => {
  const { config, db } = system.context
  const queue = await Queue.start(config.databaseUrl, db, works, () => {})
  queues.push(queue)
  return queue
}
const secondsOf = async (): Promise<Record<string, number>> => {
  const rows = await system.context.db.query<{ name: string; seconds: number }>(
    'SELECT name, expire_seconds AS seconds FROM queue.queue',
    { type: QueryTypes.SELECT },
  )
  return Object.fromEntries(rows.map(({ name, seconds }) => [name, seconds]))
}

it('half of the seconds of a job are its own, the rest is for its last piece', () => {
  let now = 0
  const time = timeOf(60, () => now)
  now = 29_999
  expect(time.isUp()).toBe(false)
  now = 30_000
  expect(time.isUp()).toBe(true)
})

describe('every sort of job', () => {
  it('has as long as it says, also where its queue was made with another time', async () => {
    expect(await secondsOf()).toMatchObject(Object.fromEntries(allWork.map(({ job, seconds }) => [job.name, seconds])))
    const sort = job<object>('a-sort-of-its-own')
    const nothing = async () => {}
    for (const seconds of [30, 600]) {
      await queueFor([work(sort, { seconds }, nothing)])
      expect((await secondsOf())[sort.name]).toBe(seconds)
    }
  })
})

describe('a job whose time is up', () => {
  it('goes on as a new one, with the same data, until it is done', async () => {
    const long = job<{ from: string }>('a-long-one')
    const runs: string[] = []
    const works = [
      work(long, { seconds: 60 }, async (_, { from }) => {
        runs.push(from)
        return runs.length < 3 ? ('more' as const) : undefined
      }),
    ]
    const queue = await queueFor(works)
    await queue.take(works[0]!, system.context)
    await queue.send(long, { from: 'Gullhaven' })
    const states = () =>
      system.context.db.query(`SELECT state::text FROM queue.job WHERE name = 'a-long-one'`, {
        type: QueryTypes.SELECT,
      })
    await vi.waitFor(async () => expect(await states()).toEqual(Array(3).fill({ state: 'completed' })), 20_000)
    expect(runs).toEqual(Array(3).fill('Gullhaven'))
  })
})
