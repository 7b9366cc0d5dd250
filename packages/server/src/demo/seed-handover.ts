import { Contact } from '../contacts/models'
import { makeSheet } from '../handover/make-sheet'
import { countVisit } from '../handover/visits'
import { tellTrouble } from '../handover/act-on-sheet'
import { Activity } from '../activity/models'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { Page, Placement, type Site } from '../sites/models'

const HOUR = 3_600_000
const PHONE = 'Mozilla/5.0 (Linux; Android 16; Phone) AppleWebKit/537.36 Chrome/150.0.0.0 Mobile Safari/537.36'

/** Who does what at the clients, and what they have in hand: one who has it by mail for six days, one whom something is in the way of. */
export async function seedHandover(context: Context, sites: Map<string, Site>, userId: string): Promise<void> {
  const at = (host: string) => sites.get(host)!
  const isla = await person(at('tarnside-vets'), 'Isla Fearn', ['pastes'])
  await person(at('tarnside-vets'), 'Wilmot Greave', ['decides', 'pays'])
  await person(at('brackenfold'), 'Hollis Quern', ['hears', 'decides'])
  const bram = await person(at('ninefold-choir'), 'Bram Oake', ['pastes', 'decides'])
  await person(at('gullhaven'), 'Signe Holm', ['pastes'], 'da-DK')

  await handed(context, at('tarnside-vets'), isla, userId, 144, true)
  const choir = await handed(context, at('ninefold-choir'), bram, userId, 48, false)
  await countVisit(context.db, choir, PHONE, new Date(Date.now() - 40 * HOUR))
  const concerts = (await Page.findOne({ where: { siteId: at('ninefold-choir').id, path: '/concerts' } }))!
  const footer = (await Placement.findOne({ where: { siteId: concerts.siteId, region: 'footer' } }))!
  const stuck = (await Install.findOne({ where: { pageId: concerts.id, placementId: footer.id } }))!
  await tellTrouble(
    context,
    choir,
    stuck.publicId,
    'There is only a box for text in the footer, and it shows me the code.',
    new Date(Date.now() - 40 * HOUR),
  )
  await makeSheet(
    context,
    { ...plain, purpose: 'kept', scope: 'site', id: at('gullhaven').id, toName: 'Gullhaven Ferries', days: 366 },
    userId,
  )
}

const plain = { toName: '', toMail: '', message: '', days: 60, mail: false }

async function person(
  site: Site,
  name: string,
  roles: Contact['roles'],
  language: string | null = null,
): Promise<Contact> {
  const email = `${name.split(' ')[0]!.toLowerCase()}@${new URL(site.origin).hostname.split('.')[0]}.example`
  return Contact.create({ clientId: site.clientId, name, email, roles, language })
}

/** All that is open of a site, so many hours ago. */
async function handed(context: Context, site: Site, contact: Contact, userId: string, hoursAgo: number, mail: boolean) {
  const now = new Date(Date.now() - hoursAgo * HOUR)
  const sheet = await makeSheet(
    context,
    { ...plain, purpose: 'paste', scope: 'site', id: site.id, contactId: contact.id, mail },
    userId,
    now,
  )
  await Activity.update({ at: now }, { where: { verb: 'handed-over', siteId: null, data: { sheetId: sheet.id } } })
  return sheet
}
