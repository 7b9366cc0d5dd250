import type { FastifyInstance, InjectOptions } from 'fastify'
import { inject } from 'vitest'
import { User, type Role } from '../accounts/models'
import { hashPassword } from '../accounts/password'
import { ArtefactMemory } from '../artefacts/memory'
import { recomputeNow } from '../delivery/recompute'
import { allFacts, allMigrations, allWork } from '../start'
import { subjects } from '../subjects'
import { buildApp } from '../app'
import { readConfig } from '../platform/config'
import type { Context } from '../platform/context'
import { connect } from '../platform/database/connect'
import { migrate } from '../platform/database/migrations'
import { Outbound } from '../platform/outbound/client'
import { Queue } from '../platform/queue'
import { Threads } from '../platform/threads/threads'
import { dropDatabase, freshDatabase } from './fresh-database'
import { standinsPort } from './standins'

/** The tables as the server makes them, and those of the queue. */
async function makeTables(url: string): Promise<void> {
  const db = await connect(url)
  await migrate(db, allMigrations)
  const queue = await Queue.start(url, db, allWork, () => {})
  await queue.stop()
  await db.close()
}

export interface TestSystem {
  app: FastifyInstance
  context: Context
  standins: (host: string, path?: string) => string
  /** Runs what is queued, as the worker would. */
  work(): Promise<void>
  stop(): Promise<void>
}

/** Address of the database that the models stand on: they are the process's own, and a second system would take them from the first. */
let running: string | null = null

/** The server without its port: a fresh database, the real routes, the real queue, the simulated sites. No demo data. */
export async function startTestSystem(
  env: NodeJS.ProcessEnv = {},
  logger: false | { stream: NodeJS.WritableStream } = false,
): Promise<TestSystem> {
  if (running) throw new Error('Another test system runs in this process: stop it first, or use a file of its own.')
  const url = (running = await freshDatabase(inject('databaseUrl'), makeTables))
  const config = readConfig({
    DATABASE_URL: url,
    PEBBLESTRAND_ORIGIN: 'https://strand.example',
    PEBBLESTRAND_STANDINS_PORT: String(standinsPort()),
    ...env,
  })
  const db = await connect(config.databaseUrl)
  for (const subject of subjects) subject.models?.(db)
  await migrate(db, allMigrations)
  const silent = () => {}
  const queue = await Queue.start(config.databaseUrl, db, allWork, silent)
  const outbound = new Outbound({ localhostNames: true })
  const threads = new Threads()
  const memory = new ArtefactMemory(config.databaseUrl, silent)
  await memory.listen()
  const app = await buildApp(
    { config, db, queue, outbound, threads, browser: null, facts: allFacts, renderNow: recomputeNow },
    memory,
    logger,
  )
  await app.ready()
  const context: Context = {
    config,
    db,
    queue,
    outbound,
    threads,
    browser: null,
    facts: allFacts,
    renderNow: recomputeNow,
    log: app.log,
  }
  return {
    app,
    context,
    standins: (host, path = '/') => `http://${host}.localhost:${standinsPort()}${path}`,
    async work() {
      for (let done = 1; done > 0;) {
        done = 0
        const waiting = await queue.waiting()
        for (const work of allWork) if (waiting.has(work.job.name)) done += await queue.drain(work, context)
      }
    },
    async stop() {
      await app.close()
      await queue.stop()
      await memory.close()
      await outbound.close()
      await threads.close()
      await db.close()
      running = null
      await dropDatabase(url)
    },
  }
}

/** What a browser would send back. */
export const cookiesOf = (set: string | string[] | undefined) =>
  [set ?? []]
    .flat()
    .map((one) => one.split(';')[0])
    .join('; ')

const CHEAP = { N: 2 ** 10, r: 8, p: 1 }

/** A signed-in person at the server's routes. */
export class Person {
  private cookie = ''
  private csrf = ''

  constructor(
    private readonly app: FastifyInstance,
    readonly email = 'ada@agency.example',
    readonly password = 'a long password',
  ) {}

  async join(role: Role = 'owner'): Promise<this> {
    const passwordHash = await hashPassword(this.password, CHEAP) // a hash carries its cost, so signing in is the real thing
    await User.create({ email: this.email, name: 'Ada Fenwick', role, passwordHash })
    return this.signIn()
  }

  async signIn(): Promise<this> {
    const answer = await this.app.inject({
      method: 'POST',
      url: '/api/session',
      payload: { email: this.email, password: this.password },
    })
    this.cookie = cookiesOf(answer.headers['set-cookie'])
    this.csrf = answer.json<{ csrf: string }>().csrf
    return this
  }

  async call(method: InjectOptions['method'], url: string, payload?: unknown, headers: Record<string, string> = {}) {
    const answer = await this.app.inject({
      method,
      url,
      headers: { cookie: this.cookie, 'x-csrf-token': this.csrf, ...headers },
      ...(payload === undefined ? {} : { payload: payload as object }),
    })
    return {
      status: answer.statusCode,
      headers: answer.headers,
      body: (/^application\/json\b/.test(String(answer.headers['content-type']))
        ? answer.json()
        : answer.body) as never,
    }
  }
  get = (url: string) => this.call('GET', url)
  post = (url: string, payload: unknown = {}) => this.call('POST', url, payload)
  put = (url: string, payload: unknown) => this.call('PUT', url, payload)
  patch = (url: string, payload: unknown) => this.call('PATCH', url, payload)
  delete = (url: string) => this.call('DELETE', url)
}
