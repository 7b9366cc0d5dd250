import { PayloadMemory } from './delivery/memory'
import { seedDemo } from './demo/seed'
import { readConfig, type Config } from './platform/config'
import type { Context } from './platform/context'
import { connect } from './platform/database/connect'
import { migrate } from './platform/database/migrations'
import { defineModels } from './platform/database/models'
import { buildApp } from './platform/http/app'
import { Outbound } from './platform/outbound/client'
import { Queue } from './platform/queue'
import { Threads } from './platform/threads/threads'
import { startWorker } from './platform/worker'

export interface Running {
  config: Config
  context: Context
  stop(): Promise<void>
}

/** Brings up what the role asks for. Everything is undone in the other order by `stop`. */
export async function start(env: NodeJS.ProcessEnv, options: { logger: boolean }): Promise<Running> {
  const config = readConfig(env)
  const db = await connect(config.databaseUrl)
  defineModels(db)
  await migrate(db)
  const logError = (error: Error) => app.log.error(error)
  const queue = await Queue.start(config.databaseUrl, db, logError)
  const outbound = new Outbound({ localhostNames: config.demo })
  const threads = new Threads()
  const memory = new PayloadMemory(config.databaseUrl, logError)
  const app = await buildApp({ config, db, queue, outbound, threads }, memory, options.logger)
  const context: Context = { config, db, queue, outbound, threads, log: app.log }
  if (config.demo) await seedDemo(context)
  const stopWorker = config.role === 'web' ? () => {} : await startWorker(context)
  if (config.role !== 'worker') {
    await memory.listen()
    await app.listen({ port: config.port, host: config.host })
  }
  return {
    config,
    context,
    async stop() {
      await app.close()
      stopWorker()
      await queue.stop()
      await memory.close()
      await outbound.close()
      await threads.close()
      await db.close()
    },
  }
}
