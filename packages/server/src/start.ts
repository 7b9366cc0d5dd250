import type { FastifyInstance } from 'fastify'
import { lookAround } from './demo/look-around'
import { seedDemo } from './demo/seed'
import { recomputeNow } from './delivery/recompute'
import { ArtefactMemory } from './artefacts/memory'
import { buildApp } from './app'
import { readConfig, type Config } from './platform/config'
import { logStream } from './platform/log-stream'
import type { Context } from './platform/context'
import { connect } from './platform/database/connect'
import { migrate } from './platform/database/migrations'
import { BrowserPool } from './platform/browser/pool'
import { Outbound } from './platform/outbound/client'
import { Queue } from './platform/queue'
import { Threads } from './platform/threads/threads'
import { subjects } from './subjects'
import { startWorker } from './worker'

export interface Running {
  config: Config
  app: FastifyInstance
  context: Context
  stop(): Promise<void>
}

/** Brings up what the role asks for; `empty`: without the demo's data. Everything is undone in the other order by `stop`. */
export async function start(env: NodeJS.ProcessEnv, options: { logger: boolean; empty?: boolean }): Promise<Running> {
  const config = readConfig(env)
  const db = await connect(config.databaseUrl)
  for (const subject of subjects) subject.models?.(db)
  await migrate(db, allMigrations)
  const logError = (error: Error) => app.log.error(error)
  const queue = await Queue.start(config.databaseUrl, db, allWork, logError)
  const outbound = new Outbound({ localhostNames: config.demo })
  const threads = new Threads()
  const browser = BrowserPool.at(config.chromium, { openings: { localhostNames: config.demo }, own: config.origin })
  const memory = new ArtefactMemory(config.databaseUrl, logError)
  const app = await buildApp(
    { config, db, queue, outbound, threads, browser, facts: allFacts, renderNow: recomputeNow },
    memory,
    options.logger && { stream: logStream },
  )
  const context: Context = {
    config,
    db,
    queue,
    outbound,
    threads,
    browser,
    facts: allFacts,
    renderNow: recomputeNow,
    log: app.log,
  }
  const ends: ((() => Promise<void>) | void)[] = []
  for (const subject of subjects) ends.push(await subject.begin?.(context))
  const told = config.demo && !options.empty ? await seedDemo(context) : []
  const stopWorker = config.role === 'web' ? () => {} : await startWorker(context)
  if (config.role !== 'worker') {
    await memory.listen()
    memory.keepAll()
    await app.listen({ port: config.port, host: config.host })
  }
  await lookAround(context, told)
  return {
    config,
    app,
    context,
    async stop() {
      await app.close()
      stopWorker()
      for (const end of ends.reverse()) await end?.()
      // First, so that checks that look are through at once.
      await browser?.close()
      await queue.stop()
      await memory.close()
      await outbound.close()
      await threads.close()
      await db.close()
    },
  }
}

/** What subjects have added to the founding tables, in the order in which it came. */
export const allMigrations = subjects
  .flatMap((subject) => subject.migrations ?? [])
  .sort((a, b) => (a.name < b.name ? -1 : 1))

/** Every job that any subject does. */
export const allWork = subjects.flatMap((subject) => subject.work ?? [])

/** What the subjects know of installs, by name. */
export const allFacts = Object.assign({}, ...subjects.map((subject) => subject.facts ?? {})) as Context['facts']
