import type { FastifyInstance } from 'fastify'
import type { Sequelize } from 'sequelize'
import type { Context, FactProvider } from './platform/context'
import type { Serve } from './platform/http/serve'
import type { Work } from './platform/queue'

/** What a behaviour told from a visitor's browser. Nothing in it can be trusted. */
export interface Told {
  publicId: string
  ip: string
  userAgent: string
  body: unknown
}

/** One folder of the server: what it brings to the whole. A subject leaves out what it has no part in. */
export interface Subject {
  name: string
  /** Steps of its tables beyond the founding ones, in order; a step once landed is never changed. */
  migrations?: { name: string; sql: string }[]
  /** Ties its models to the database. */
  models?(db: Sequelize): void
  /** Its routes of the contract. */
  routes?(serve: Serve, context: Context): void
  /** Pages for who has no account, apart from the application: no session, headers of their own. */
  pages?(app: FastifyInstance, context: Context): Promise<void>
  /** What it hears from visitors' browsers, by the behaviour that tells it. */
  told?: Record<string, (context: Context, told: Told) => Promise<void>>
  /** Its jobs, done by whoever has the role of a worker. */
  work?: Work[]
  /** By the names that kinds ask for (`Kind.facts` of the core). */
  facts?: Record<string, FactProvider>
  /** Once the database is there, before anything is answered. Given back: what to do at the end. */
  begin?(context: Context): Promise<(() => Promise<void>) | void>
}
