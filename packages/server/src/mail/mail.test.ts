import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { SheetInfo } from '@pebblestrand/contract'
import { Activity } from '../activity/models'
import { Sheet } from '../sheets/models'
import { remindWhoIsDue } from '../handover/reminders'
import type { Install } from '../installs/models'
import { startMailServer, type MailServer } from '../testing/mail-server'
import { planned, publishedWidget, setScene, type Scene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { Mail } from './models'
import { sendWaiting } from './send'

let server: MailServer
let received: MailServer['received']
const to = (address: string) => server.to(address)
let system: TestSystem
let ada: Person
let scene: Scene
let install: Install
beforeAll(async () => {
  server = await startMailServer()
  received = server.received
  system = await startTestSystem({
    PEBBLESTRAND_SMTP: server.url,
    PEBBLESTRAND_MAIL_FROM: 'sheets@tern-and-tiller.example',
  })
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada)
  install = await planned(ada, scene, 'sidebar')
  await system.work()
})
afterAll(async () => {
  await system.stop()
  await server.close()
})

async function hand(toMail: string, more: object = {}): Promise<Sheet> {
  const body = { purpose: 'paste', scope: 'install', id: install.id, toName: 'Isla Fearn', toMail, mail: true, ...more }
  const answer = await ada.post('/api/sheets', body)
  expect(answer.status, JSON.stringify(answer.body)).toBe(200)
  return (await Sheet.findByPk((answer.body as { id: string }).id))!
}

describe('a mail about a sheet', () => {
  it('goes out as text and HTML, with the sheet’s address, and answers go to the keeper of the site', async () => {
    const sheet = await hand('isla@tarnside.example')
    await system.work()
    const [mail] = to('isla@tarnside.example')
    expect(mail).toMatchObject({
      subject: 'Something to put on brackenfold',
      from: { address: 'sheets@tern-and-tiller.example' },
      replyTo: [{ address: ada.email }],
      to: [{ name: 'Isla Fearn', address: 'isla@tarnside.example' }],
    })
    const link = `https://strand.example/paste/${sheet.token}`
    expect(mail!.text).toContain(link)
    expect(mail!.text).toContain('– Harbour news (The page)')
    expect(mail!.html).toContain(`<a href="${link}"`)
    expect(mail!.headers.find(({ key }) => key === 'auto-submitted')?.value).toBe('auto-generated')
    expect((await Mail.findOne({ where: { sheetId: sheet.id } }))!.state).toBe('sent')
  })
  it('is in the language of whoever gets it, letters of all scripts whole', async () => {
    await hand('olena@tarnside.example', { toName: 'Олена', language: 'uk-UA' })
    await system.work()
    const [mail] = to('olena@tarnside.example')
    expect(mail!.subject).toBe('Дещо для brackenfold')
    expect(mail!.to![0]!.name).toBe('Олена')
    expect(mail!.text).toContain('Вітаємо, Олена!')
  })
  it('is worded as the agency words it; what nothing fills and what has no way to the sheet is refused', async () => {
    const settings = (wording: object) => ({ wording: { paste: { en: wording } }, remindAfter: 3, remindMost: 2 })
    const put = (wording: object) => ada.put('/api/agency/mail', settings(wording))
    expect((await put({ subject: 'Hi {nick}', body: 'x {link}' })).body).toMatchObject({
      error: { issues: [{ field: 'wording.paste.en.subject', message: expect.stringContaining('{nick}') as string }] },
    })
    expect((await put({ subject: 'Hi', body: 'no way' })).body).toMatchObject({
      error: { issues: [{ field: 'wording.paste.en.body' }] },
    })
    expect((await put({ subject: 'For {site}', body: 'Dear {name},\n\n<b>{link}</b>\n' })).status).toBe(200)
    await hand('bram@tarnside.example', { toName: 'Bram <script>' })
    await system.work()
    const [mail] = to('bram@tarnside.example')
    expect(mail!.subject).toBe('For brackenfold')
    expect(mail!.text).toContain('Dear Bram <script>,')
    expect(mail!.html).toContain('Dear Bram &lt;script&gt;,')
    expect(mail!.html).not.toContain('<script>')
    await ada.put('/api/agency/mail', { wording: {}, remindAfter: 3, remindMost: 2 })
  })
  it('that a name tries to slip a line into has one subject and one receiver', async () => {
    await hand('carys@tarnside.example', { toName: 'Carys\r\nBcc: all@elsewhere.example' })
    await system.work()
    const [mail] = to('carys@tarnside.example')
    expect(mail!.bcc ?? []).toEqual([])
    expect(received.at(-1)!.to).toEqual(['carys@tarnside.example'])
  })
  it('that is refused for good says so at once, and is not tried again', async () => {
    const sheet = await hand('nobody@tarnside.example')
    await system.work()
    const mail = (await Mail.findOne({ where: { sheetId: sheet.id } }))!
    expect(mail).toMatchObject({ state: 'bounced', problem: expect.stringContaining('No such mailbox') as string })
    expect(await Activity.count({ where: { verb: 'mail-failed' } })).toBe(1)
    const { rows } = (await ada.get(`/api/sheets?siteId=${scene.siteId}`)).body as { rows: SheetInfo[] }
    expect(rows.find(({ id }) => id === sheet.id)!.mails[0]!.state).toBe('bounced')
  })
  it('waits for a server that is away, and is tried again after a pause', async () => {
    server.away = true
    const sheet = await hand('dewi@tarnside.example')
    await system.work()
    const mail = async () => (await Mail.findOne({ where: { sheetId: sheet.id } }))!
    expect(await mail()).toMatchObject({ state: 'queued', tries: 1 })
    server.away = false
    await sendWaiting(system.context, new Date())
    expect((await mail()).state).toBe('queued')
    await sendWaiting(system.context, new Date(Date.now() + 70_000))
    expect((await mail()).state).toBe('sent')
    expect(to('dewi@tarnside.example')).toHaveLength(1)
  })
})

describe('reminders', () => {
  /** In the site's time: Faroe, through the end of summer time on 25 October 2026, a Sunday. */
  const at = (text: string) => new Date(text)
  const reminded = async (sheet: Sheet) => (await Sheet.findByPk(sheet.id))!.reminded
  beforeAll(async () => {
    await ada.patch(`/api/sites/${scene.siteId}`, { timeZone: 'Atlantic/Faroe' })
    await Sheet.update({ withdrawnAt: new Date() }, { where: {} })
    await Mail.destroy({ where: {} })
  })
  it('come after so many working days, in office hours, over a weekend and a change of the clocks; as often as may be, and no more', async () => {
    const sheet = await hand('eilidh@tarnside.example')
    await system.work()
    const friday = at('2026-10-23T15:00:00+01:00')
    await sheet.update({ mailedAt: friday, endsAt: at('2026-12-31T00:00:00Z') })
    await Mail.update({ queuedAt: friday }, { where: { sheetId: sheet.id } })
    const tries: [string, number][] = [
      ['2026-10-26T10:00:00Z', 0], // Monday: one working day
      ['2026-10-28T08:59:00Z', 0], // Wednesday, before nine in winter time
      ['2026-10-28T09:01:00Z', 1],
      ['2026-10-28T09:30:00Z', 1], // one a day
      ['2026-10-31T10:00:00Z', 1], // Saturday
      ['2026-11-02T10:00:00Z', 2], // Monday, three working days on
      ['2026-11-20T10:00:00Z', 2], // no more than two
    ]
    for (const [now, count] of tries) {
      await remindWhoIsDue(system.context, at(now))
      expect(await reminded(sheet), now).toBe(count)
    }
    await system.work()
    expect(to('eilidh@tarnside.example').map(({ subject }) => subject)).toEqual([
      'Something to put on brackenfold',
      'Still to do on brackenfold',
      'Still to do on brackenfold',
    ])
  })
  it('are one mail a person a day with all that waits', async () => {
    const other = await planned(ada, scene, 'footer', await publishedWidget(ada, 'Regatta news', scene.sourceId))
    const sheets = [await hand('finn@tarnside.example'), await hand('Finn@tarnside.example', { id: other.id })]
    await system.work()
    for (const sheet of sheets)
      await sheet.update({ mailedAt: at('2026-11-02T10:00:00Z'), endsAt: at('2026-12-31T00:00:00Z') })
    await Mail.update({ queuedAt: at('2026-11-02T10:00:00Z') }, { where: {} })
    await remindWhoIsDue(system.context, at('2026-11-06T10:00:00Z'))
    await system.work()
    const mails = received.filter(({ to: [address] }) => address!.toLowerCase() === 'finn@tarnside.example')
    expect(mails).toHaveLength(3)
    const last = mails.at(-1)!.mail.text!
    for (const said of [...sheets.map(({ token }) => token), 'Harbour news', 'Regatta news'])
      expect(last).toContain(said)
  })
  it('stop with a confirmation', async () => {
    const sheet = await hand('gwen@tarnside.example')
    await system.work()
    await sheet.update({ mailedAt: at('2026-11-02T10:00:00Z'), endsAt: at('2026-12-31T00:00:00Z') })
    await Mail.update({ queuedAt: at('2026-11-02T10:00:00Z') }, { where: {} })
    await install.update({ status: 'confirmed' })
    await remindWhoIsDue(system.context, at('2026-11-09T10:00:00Z'))
    expect(await reminded(sheet)).toBe(0)
    await install.update({ status: 'handed-over', retiring: true })
    await remindWhoIsDue(system.context, at('2026-11-09T10:00:00Z'))
    expect(await reminded(sheet), 'it is to be taken out after all').toBe(0)
    await install.update({ retiring: false })
    await remindWhoIsDue(system.context, at('2026-11-09T10:00:00Z'))
    expect(await reminded(sheet)).toBe(1)
  })
})
