import { z } from 'zod'

const Env = z.object({
  PEBBLESTRAND_PORT: z.coerce.number().int().min(1).max(65535).default(4600),
  PEBBLESTRAND_STANDINS_PORT: z.coerce.number().int().min(1).max(65535).default(4700),
  PEBBLESTRAND_HOST: z.string().default('127.0.0.1'),
  /** Where people and client sites reach this server, scheme and host. */
  PEBBLESTRAND_ORIGIN: z.url().optional(),
  PEBBLESTRAND_TRUST_PROXY: z.enum(['0', '1']).default('0'),
  DATABASE_URL: z.string().min(1),
  ROLE: z.enum(['web', 'worker', 'all']).default('all'),
  NO_DEMO: z.enum(['0', '1', '']).default(''),
})

export interface Config {
  port: number
  host: string
  origin: string
  trustProxy: boolean
  databaseUrl: string
  role: 'web' | 'worker' | 'all'
  /** Demo data on an empty database, and `*.localhost` open to the outbound client. */
  demo: boolean
  standinsPort: number
}

/** Reads the environment. Throws a ZodError that names the variable. */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const e = Env.parse(env)
  return {
    port: e.PEBBLESTRAND_PORT,
    host: e.PEBBLESTRAND_HOST,
    origin: new URL(e.PEBBLESTRAND_ORIGIN ?? `http://localhost:${e.PEBBLESTRAND_PORT}`).origin,
    trustProxy: e.PEBBLESTRAND_TRUST_PROXY === '1',
    databaseUrl: e.DATABASE_URL,
    role: e.ROLE,
    demo: e.NO_DEMO !== '1',
    standinsPort: e.PEBBLESTRAND_STANDINS_PORT,
  }
}
