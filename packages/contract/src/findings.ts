import { knownBy, lookIds, statusIds, type KnownBy } from '@pebblestrand/core/verify/words'
import { z } from 'zod'
import { Time } from './fields'

export const Facts = z.object({
  status: z.number(),
  finalUrl: z.string(),
  region: z.string().nullable(),
  /** By what the region is known; checks of before did not say. */
  regionBy: z.enum(Object.keys(knownBy) as [KnownBy, ...KnownBy[]]).nullish(),
  /** What is worth saying beside the findings. */
  reasoning: z.array(z.object({ about: z.string(), says: z.array(z.string()) })).optional(),
  notes: z.array(z.object({ code: z.string(), says: z.string() })).optional(),
  copies: z.number(),
  /** Whether the site's tag was there; null where the site has none. */
  tag: z.boolean().nullish(),
  /** Px that a wide window leaves it, where a browser looked. */
  room: z.number().nullish(),
  /** What its placement can be marked by, where it has no mark that fits. */
  mark: z.string().nullish(),
  /** Where that is drawn in a wide window, px. */
  markBox: z.object({ x: z.number(), y: z.number(), width: z.number(), height: z.number() }).nullish(),
})

export const Proof = z.object({
  look: z.enum(lookIds),
  excerpts: z.array(z.object({ line: z.number(), text: z.string() })),
  headers: z.record(z.string(), z.string()),
})

export const Finding = z.object({
  id: z.uuid(),
  code: z.string(),
  subject: z.string(),
  weight: z.number(),
  nextAction: z.enum(['paste', 'publish', 'cache', 'look']),
  title: z.string(),
  says: z.string(),
  remedy: z.string(),
  proof: Proof,
  /** A person has put it away: why, and until when. */
  muted: z.object({ reason: z.string(), until: Time, by: z.string().nullable() }).nullable(),
})

export const checkStates = ['queued', ...lookIds, 'judging', 'done', 'failed', 'stopped'] as const
export const CheckState = z.enum(checkStates)
export type CheckState = z.infer<typeof CheckState>

/** What is kept of one look, without the page itself. */
export const LookInfo = z.object({
  how: z.enum(lookIds),
  url: z.string(),
  finalUrl: z.string(),
  status: z.number(),
  headers: z.record(z.string(), z.string()),
  ms: z.number(),
  at: Time,
  /** What a browser saw of this install, in px of the page; null for other ways of looking. */
  sight: z
    .object({
      width: z.number(),
      height: z.number(),
      boxes: z.array(z.object({ x: z.number(), y: z.number(), width: z.number(), height: z.number() })),
      readyMs: z.number().nullable(),
      shift: z.number(),
    })
    .nullable(),
  hasPicture: z.boolean(),
  problem: z.string().nullable(),
})

export const Status = z.enum(statusIds)
