import { languages, type LanguageTag } from '@pebblestrand/core/words/languages'
import { z } from 'zod'
import { Id, IdParams, line } from './fields'
import { route } from './route'

/** What somebody at a client is asked for. */
export const contactRoles = {
  pastes: 'pastes',
  decides: 'decides',
  pays: 'pays',
  hears: 'gets what visitors write',
} as const
export type ContactRole = keyof typeof contactRoles
const roleIds = Object.keys(contactRoles) as [ContactRole, ...ContactRole[]]

export const MailAddress = z.email('must be an address like name@example.org').max(254)

/** Languages that a sheet can be in. */
export const SheetLanguage = z.enum(Object.keys(languages) as [LanguageTag, ...LanguageTag[]])

const fields = {
  name: line(100),
  email: z.union([z.literal(''), MailAddress], 'must be an address like name@example.org, or empty'),
  roles: z.array(z.enum(roleIds)).max(roleIds.length),
  /** Null: that of the site. */
  language: SheetLanguage.nullable(),
  /** Of the client's; none means all. */
  siteIds: z.array(z.uuid()).max(200),
}
export const Contact = z.object({ id: z.uuid(), ...fields })
export type Contact = z.infer<typeof Contact>

const done = z.object({ done: z.literal(true) })

export const contactRoutes = {
  list: route({
    method: 'GET',
    path: '/api/sites/:id/contacts',
    may: 'member',
    summary: 'People of the site’s client, who pastes there first; and the client’s sites',
    params: IdParams,
    answer: z.object({
      client: z.string(),
      sites: z.array(z.object({ id: z.uuid(), name: z.string() })),
      rows: z.array(Contact),
    }),
  }),
  add: route({
    method: 'POST',
    path: '/api/sites/:id/contacts',
    may: 'member',
    summary: 'Note somebody of the site’s client',
    params: IdParams,
    body: z.object(fields),
    answer: Id,
  }),
  change: route({
    method: 'PUT',
    path: '/api/contacts/:id',
    may: 'member',
    summary: 'Correct what is noted of somebody',
    params: IdParams,
    body: z.object(fields),
    answer: done,
  }),
  remove: route({
    method: 'DELETE',
    path: '/api/contacts/:id',
    may: 'member',
    summary: 'Forget somebody; sheets that went to them stay as they are',
    params: IdParams,
    answer: done,
  }),
}
