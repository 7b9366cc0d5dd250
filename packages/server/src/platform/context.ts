import type { FastifyBaseLogger } from 'fastify'
import type { Sequelize } from 'sequelize'
import type { Config } from './config'
import type { Outbound } from './outbound/client'
import type { Queue } from './queue'
import type { Threads } from './threads/threads'

/** What every subject's routes and jobs work with. */
export interface Context {
  config: Config
  db: Sequelize
  queue: Queue
  outbound: Outbound
  threads: Threads
  log: FastifyBaseLogger
}
