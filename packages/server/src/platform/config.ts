import type { ServiceName } from '@pebblestrand/core/sources'
import { z } from 'zod'
import { CHROMIUM } from './browser/chromium-path'
import type { MailSettings } from './mail/transport'
import { LOOPBACK } from './outbound/loopback'

const Address = z.union([z.ipv4(), z.ipv6(), z.cidrv4(), z.cidrv6()])
const Proxies = z
  .string()
  .default('0')
  .transform((text, context) => {
    if (/^\d$/.test(text.trim())) return Number(text)
    const addresses = text.split(',').map((one) => one.trim())
    if (addresses.every((one) => Address.safeParse(one).success)) return addresses
    context.addIssue('must be how many proxies stand in front (0 to 9), or their addresses with commas between them')
    return z.NEVER
  })

const Env = z.object({
  PEBBLESTRAND_PORT: z.coerce.number().int().min(1).max(65535).default(4600),
  PEBBLESTRAND_STANDINS_PORT: z.coerce.number().int().min(1).max(65535).default(4700),
  PEBBLESTRAND_HOST: z.string().default(LOOPBACK),
  /** Where people and client sites reach this server, scheme and host. */
  PEBBLESTRAND_ORIGIN: z.url().optional(),
  /** How many proxies stand in front, or their addresses: what they say of who asks is believed, and no more. */
  PEBBLESTRAND_TRUST_PROXY: Proxies,
  DATABASE_URL: z.string().min(1),
  /** Chromium, for looks at pages as a browser shows them; where there is none, checks go without. */
  PEBBLESTRAND_COUNTRY_HEADER: z
    .string()
    .regex(/^[\w-]{1,100}$/, 'must be the name of a header')
    .transform((name) => name.toLowerCase())
    .optional(),
  PEBBLESTRAND_CHROMIUM: z.string().default(CHROMIUM),
  /** Where the review service answers, scheme and host; in the demo its stand-in. */
  PEBBLESTRAND_REVIEW_SERVICE: z.url().optional(),
  PEBBLESTRAND_PHOTO_SERVICE: z.url().optional(),
  /** The server that mail goes out by, `smtp://` or `smtps://`, with name and password where it wants them; none, no mail. */
  PEBBLESTRAND_SMTP: z.url({ protocol: /^smtps?$/ }).optional(),
  /** As whom mail goes out: an address, or `Name <address>`. */
  PEBBLESTRAND_MAIL_FROM: z.string().default('pebblestrand@localhost'),
  PEBBLESTRAND_SMTP_PORT: z.coerce.number().int().min(1).max(65535).optional(),
  /** 32 bytes as base64 or hex: what visitors write into forms is encrypted with it where it is stored. */
  PEBBLESTRAND_LEADS_KEY: z
    .string()
    .transform((text, context) => {
      const key = /^[0-9a-f]{64}$/i.test(text) ? Buffer.from(text, 'hex') : Buffer.from(text, 'base64')
      if (key.length === 32) return key
      context.addIssue('must be 32 bytes as base64 or hex, as `openssl rand -base64 32` gives them')
      return z.NEVER
    })
    .optional(),
  /** Submissions of one form within a minute beyond which it counts as under attack: browsers then work for each. */
  PEBBLESTRAND_FORM_ATTACK: z.coerce.number().int().min(1).max(100_000).default(20),
  ROLE: z.enum(['web', 'worker', 'all']).default('all'),
  NO_DEMO: z.enum(['0', '1', '']).default(''),
})

export interface Config {
  port: number
  host: string
  origin: string
  /** Proxies in front: how many, or which addresses. */
  trustProxy: number | string[]
  databaseUrl: string
  role: 'web' | 'worker' | 'all'
  /** Demo data on an empty database, and `*.localhost` open to the outbound client. */
  demo: boolean
  standinsPort: number
  /** Origins of outside services that are asked by an API; null where none is set up. */
  services: Record<ServiceName, string | null>
  /** How mail goes out; null where it does not. */
  mail: MailSettings | null
  /** Header in which the operator's own proxy says which country a visitor is in (ISO 3166-1 alpha-2), in lower case; null where none does. */
  countryHeader: string | null
  /** What visitors write into forms is encrypted with it; null where no key was given. */
  leadsKey: Buffer | null
  /** Submissions of one form in a minute beyond which it counts as under attack. */
  formAttack: number
  /** Path of the browser that looks at pages. */
  chromium: string
}

/** How far above the simulated sites' port the simulated mailbox listens, where nothing else is said. */
const MAILBOX = 50

/** Reads the environment. Throws a ZodError that names the variable. */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const e = Env.parse(env)
  const demo = e.NO_DEMO !== '1'
  const serviceAt = (address: string | undefined, standin: string) => {
    if (address) return new URL(address).origin
    return demo ? `http://${standin}.localhost:${e.PEBBLESTRAND_STANDINS_PORT}` : null
  }
  const mailbox = `smtp://${LOOPBACK}:${e.PEBBLESTRAND_SMTP_PORT ?? e.PEBBLESTRAND_STANDINS_PORT + MAILBOX}`
  const smtp = e.PEBBLESTRAND_SMTP ?? (demo ? mailbox : null)
  return {
    port: e.PEBBLESTRAND_PORT,
    host: e.PEBBLESTRAND_HOST,
    origin: new URL(e.PEBBLESTRAND_ORIGIN ?? `http://localhost:${e.PEBBLESTRAND_PORT}`).origin,
    trustProxy: e.PEBBLESTRAND_TRUST_PROXY,
    databaseUrl: e.DATABASE_URL,
    role: e.ROLE,
    demo,
    services: {
      reviews: serviceAt(e.PEBBLESTRAND_REVIEW_SERVICE, 'harbour-voices'),
      photos: serviceAt(e.PEBBLESTRAND_PHOTO_SERVICE, 'isle-frames'),
    },
    mail: smtp ? { smtp, from: e.PEBBLESTRAND_MAIL_FROM } : null,
    standinsPort: e.PEBBLESTRAND_STANDINS_PORT,
    countryHeader: e.PEBBLESTRAND_COUNTRY_HEADER ?? null,
    formAttack: e.PEBBLESTRAND_FORM_ATTACK,
    leadsKey: e.PEBBLESTRAND_LEADS_KEY ?? null,
    chromium: e.PEBBLESTRAND_CHROMIUM,
  }
}
