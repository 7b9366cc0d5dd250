import type { FastifyBaseLogger } from 'fastify'
import type { Sequelize, Transaction } from 'sequelize'
import type { Config } from './config'
import type { BrowserPool } from './browser/pool'
import type { Outbound } from './outbound/client'
import type { Queue } from './queue'
import type { Threads } from './threads/threads'

/** What of an install the kinds of widgets can be rendered from, beside items: worked out for many installs at once. */
export type FactProvider = (
  context: Context,
  installIds: readonly string[],
  transaction: Transaction,
) => Promise<Map<string, unknown>>

/** What every subject's routes and jobs work with. */
export interface Context {
  config: Config
  db: Sequelize
  queue: Queue
  outbound: Outbound
  threads: Threads
  /** Null where this machine has none. */
  browser: BrowserPool | null
  log: FastifyBaseLogger
  /** What subjects know of installs, by name. */
  facts: Record<string, FactProvider>
  /** Renders at once what a transaction has queued, for whoever looks next. Never throws: should it fail, the queue does it later. */
  renderNow(context: Context, queued: { widgetId: string; within: object; job: string }): Promise<void>
}
