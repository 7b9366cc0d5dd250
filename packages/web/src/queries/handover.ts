import { routes, type Answer } from '@pebblestrand/contract'
import { ask, type Needed } from '../api/call'
import { changed, put, useAsk } from './query'

const { contacts, handover, installs, mail, sites, today } = routes

export type SheetRow = Answer<typeof handover.list>['rows'][number]
export type ContactRow = Answer<typeof contacts.list>['rows'][number]
export type MailSettings = Answer<typeof mail.change>
export type WantedSheet = Needed<typeof handover.make>['body']
export type WantedContact = Needed<typeof contacts.add>['body']

export const useSheetsOf = (of: () => { installId?: string; siteId?: string }) =>
  useAsk(handover.list, () => ({ query: { installId: '', siteId: '', ...of() } }))
export const useOpen = (installId: () => string) =>
  useAsk(handover.open, () => ({ params: { id: installId() } }), { when: () => installId() !== '' })
export const useContacts = (siteId: () => string) => useAsk(contacts.list, () => ({ params: { id: siteId() } }))
export const useMailSettings = () => useAsk(mail.read, () => ({}))
export const useMails = () => useAsk(mail.list, () => ({ query: { page: 1, size: 20 } }))

const handedOver = () => changed(handover.list, handover.open, installs.read, installs.list, sites.read, today.read)

/** Gives the sheet that was made. */
export async function makeSheet(body: WantedSheet, siteId: string): Promise<SheetRow> {
  const { id } = await ask(handover.make, { body })
  await handedOver()
  const { rows } = await ask(handover.list, { query: { installId: '', siteId } })
  return rows.find((row) => row.id === id)!
}
export async function withdrawSheet(id: string): Promise<void> {
  await ask(handover.withdraw, { params: { id } })
  await handedOver()
}
export async function remindOf(id: string): Promise<void> {
  await ask(handover.remind, { params: { id } })
  await handedOver()
}
export const sheetFileAddress = (installId: string, form: string) =>
  `${handover.file.path.replace(':id', installId)}?form=${form}`

async function peopleChanged(done: Promise<unknown>): Promise<void> {
  await done
  await changed(contacts.list)
}
export const addContact = (siteId: string, body: WantedContact) =>
  peopleChanged(ask(contacts.add, { params: { id: siteId }, body }))
export const changeContact = (id: string, body: WantedContact) =>
  peopleChanged(ask(contacts.change, { params: { id }, body }))
export const removeContact = (id: string) => peopleChanged(ask(contacts.remove, { params: { id } }))

export async function changeMailSettings(body: MailSettings, sends: boolean): Promise<void> {
  put(mail.read, {}, { ...(await ask(mail.change, { body })), sends })
}
