import { browserLookIds, findingCodes, lookIds, type FindingCode } from '@pebblestrand/core/verify/words'
import { z } from 'zod'
import { Id, IdParams, line, paged, Paging, Time } from './fields'
import { CheckState, Facts, Finding, Status } from './findings'
import { route } from './route'

export const Check = z.object({
  id: z.uuid(),
  installId: z.uuid(),
  state: CheckState,
  cause: z.string(),
  askedAt: Time,
  finishedAt: Time.nullable(),
  statusAfter: Status.nullable(),
  facts: Facts.nullable(),
  problem: z.string().nullable(),
})

/** What may be put away: not that something is still there which is meant to be gone. */
export const mutableCodes = findingCodes.filter((code) => code !== 'still-there') as [FindingCode, ...FindingCode[]]

/** A run over many installs, and how far it is. */
export const Round = z.object({
  id: z.uuid(),
  state: z.enum(['running', 'done', 'stopped']),
  total: z.number(),
  done: z.number(),
  startedAt: Time,
  finishedAt: Time.nullable(),
})

const NewestRound = z.object({ round: Round.nullable() })

export const checkRoutes = {
  read: route({
    method: 'GET',
    path: '/api/checks/:id',
    may: 'member',
    summary: 'A check and what it found',
    params: IdParams,
    answer: Check.extend({ findings: z.array(Finding) }),
  }),
  ofInstall: route({
    method: 'GET',
    path: '/api/installs/:id/checks',
    may: 'member',
    summary: 'The checks of an install, the newest first',
    params: IdParams,
    query: Paging,
    answer: paged(Check),
  }),
  picture: route({
    method: 'GET',
    path: '/api/checks/:id/looks/:how/picture',
    may: 'member',
    summary: 'The page as a browser drew it, a JPEG',
    params: IdParams.extend({ how: z.enum(browserLookIds) }),
    answer: z.any(),
    file: true,
  }),
  look: route({
    method: 'GET',
    path: '/api/checks/:id/looks/:how',
    may: 'member',
    summary: 'The page as it was kept, as plain text',
    params: IdParams.extend({ how: z.enum(lookIds) }),
    answer: z.string(),
    file: true,
  }),
  mute: route({
    method: 'PUT',
    path: '/api/installs/:id/mutes/:code',
    may: 'member',
    summary: 'Put a finding away, with a reason, until a day',
    params: IdParams.extend({ code: z.enum(mutableCodes, 'cannot be put away') }),
    body: z.object({
      reason: line(300),
      /** The first day on which it counts again. */
      until: z.iso.date('must be a date like 2026-12-24'),
    }),
    answer: z.object({}),
  }),
  unmute: route({
    method: 'DELETE',
    path: '/api/installs/:id/mutes/:code',
    may: 'member',
    summary: 'Let a finding count again',
    params: IdParams.extend({ code: z.enum(mutableCodes, 'cannot be put away') }),
    answer: z.object({}),
  }),
  newestRound: route({
    method: 'GET',
    path: '/api/rounds/newest',
    may: 'member',
    summary: 'The newest round of checks',
    answer: NewestRound,
  }),
  startRound: route({
    method: 'POST',
    path: '/api/rounds',
    may: 'member',
    summary: 'Check everything',
    often: { times: 20, seconds: 3600 },
    answer: Id,
  }),
  stopRound: route({
    method: 'DELETE',
    path: '/api/rounds/:id',
    may: 'member',
    summary: 'Stop a round',
    params: IdParams,
    answer: NewestRound,
  }),
}
