import { routes } from '@pebblestrand/contract'
import type { Serve } from '../platform/http/serve'
import { AppError } from '../platform/errors'
import { Client, Site } from '../sites/models'
import { Contact } from './models'

export function contactRoutes(serve: Serve): void {
  const { contacts } = routes

  serve(contacts.list, async ({ params: { id } }) => {
    const site = await siteOf(id)
    const { clientId } = site
    const rows = await Contact.findAll({ where: { clientId }, order: [['name', 'ASC']], limit: 200 })
    const sites = await Site.findAll({ attributes: ['id', 'name'], where: { clientId }, order: [['name', 'ASC']] })
    return {
      client: (await Client.findByPk(clientId))!.name,
      sites: sites.map(({ id: siteId, name }) => ({ id: siteId, name })),
      rows: rows
        .map(({ id: contactId, name, email, roles, language, siteIds }) => ({
          id: contactId,
          name,
          email,
          roles,
          language: language as never,
          siteIds,
        }))
        .sort((a, b) => rank(b, id) - rank(a, id)),
    }
  })

  serve(contacts.add, async ({ params: { id }, body }) => {
    const { clientId } = await siteOf(id)
    await requireSites(clientId, body.siteIds)
    return { id: (await Contact.create({ ...body, clientId })).id }
  })

  serve(contacts.change, async ({ params: { id }, body }) => {
    const contact = await contactOf(id)
    await requireSites(contact.clientId, body.siteIds)
    await contact.update(body)
    return { done: true as const }
  })

  serve(contacts.remove, async ({ params: { id } }) => {
    await (await contactOf(id)).destroy()
    return { done: true as const }
  })
}

/** Who pastes at a site comes first, then whoever else is noted for it. */
const rank = ({ roles, siteIds }: Pick<Contact, 'roles' | 'siteIds'>, siteId: string) =>
  (roles.includes('pastes') ? 2 : 0) + (!siteIds.length || siteIds.includes(siteId) ? 1 : 0)

async function requireSites(clientId: string, siteIds: readonly string[]): Promise<void> {
  if (siteIds.length && (await Site.count({ where: { id: [...siteIds], clientId } })) !== new Set(siteIds).size)
    throw new AppError('invalid', { issues: [{ field: 'siteIds', message: 'has a site that is not of this client' }] })
}

async function siteOf(id: string): Promise<Site> {
  const site = await Site.findByPk(id)
  if (!site) throw new AppError('not-found')
  return site
}

async function contactOf(id: string): Promise<Contact> {
  const contact = await Contact.findByPk(id)
  if (!contact) throw new AppError('not-found')
  return contact
}
