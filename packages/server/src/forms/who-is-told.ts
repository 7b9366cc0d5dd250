import { Op, type Transaction } from 'sequelize'
import { User } from '../accounts/models'
import { Contact } from '../contacts/models'
import { Site } from '../sites/models'

export interface Told {
  name: string
  mail: string
}

/** Who of the agency is told of what comes in on a site: its keeper, else the owner. */
export async function agencyTold(siteId: string | null, transaction?: Transaction): Promise<Told[]> {
  const site = siteId ? await Site.findByPk(siteId, { transaction }) : null
  const person =
    (site?.keeperId ? await User.findByPk(site.keeperId, { transaction }) : null) ??
    (await User.findOne({ where: { role: 'owner' }, order: [['createdAt', 'ASC']], transaction }))
  return person ? [{ name: person.name, mail: person.email }] : []
}

/** Who of the client: those who get what visitors write, else those who decide. */
export async function clientTold(siteId: string | null, transaction?: Transaction): Promise<Told[]> {
  const site = siteId ? await Site.findByPk(siteId, { transaction }) : null
  if (!site) return []
  const people = await Contact.findAll({
    where: { clientId: site.clientId, email: { [Op.ne]: '' } },
    order: [['addedAt', 'ASC']],
    transaction,
  })
  const here = people.filter(({ siteIds }) => !siteIds.length || siteIds.includes(site.id))
  const told = (role: 'hears' | 'decides') => here.filter(({ roles }) => roles.includes(role))
  const chosen = told('hears').length ? told('hears') : told('decides')
  return chosen.map(({ name, email }) => ({ name, mail: email }))
}
