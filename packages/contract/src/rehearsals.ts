import { Expected, MadeUpVisit, PresenceRules } from '@pebblestrand/core/presence'
import { z } from 'zod'
import { Id, IdParams, Time } from './fields'
import { route } from './route'

/** Something over the pages of a site, as it is installed there. */
const OverPage = z.object({
  installId: z.uuid(),
  widgetId: z.uuid(),
  widget: z.string(),
  kind: z.string(),
  page: z.string(),
  /** Path or pattern of its pages. */
  on: z.string(),
  rules: PresenceRules,
  /** As the draft has it; null where that is as it is published, or where the install is held at a release. */
  draft: PresenceRules.nullable(),
})

/** A visit that is kept, with what is expected of it. */
const Expectation = z.object({
  id: z.uuid(),
  name: z.string(),
  visit: MadeUpVisit,
  expected: Expected,
  by: z.string().nullable(),
  at: Time,
})

const name = z.string().trim().min(1, 'is missing').max(120, 'must have 120 letters or fewer')

export const rehearsalRoutes = {
  read: route({
    method: 'GET',
    path: '/api/sites/:id/rehearsal',
    may: 'member',
    summary: 'What stands over the pages of a site, and the visits that are kept with it',
    params: IdParams,
    answer: z.object({
      site: z.string(),
      timeZone: z.string(),
      language: z.string().nullable(),
      pages: z.array(z.object({ title: z.string(), path: z.string() })),
      overPage: z.array(OverPage),
      expectations: z.array(Expectation),
    }),
  }),
  expect: route({
    method: 'POST',
    path: '/api/sites/:id/expectations',
    may: 'member',
    summary: 'Keep a made-up visit with what is expected of it',
    params: IdParams,
    body: z.object({ name, visit: MadeUpVisit, expected: Expected }),
    answer: Id,
  }),
  drop: route({
    method: 'DELETE',
    path: '/api/expectations/:id',
    may: 'member',
    summary: 'Expect a kept visit no longer',
    params: IdParams,
    answer: z.object({}),
  }),
}

/** An expectation that would not be met any more. */
export const BrokenExpectation = z.object({
  id: z.uuid(),
  siteId: z.uuid(),
  site: z.string(),
  name: z.string(),
  /** "The voucher would be seen." */
  says: z.string(),
})
