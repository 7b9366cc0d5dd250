import { createHmac } from 'node:crypto'
import { createServer, type IncomingHttpHeaders, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { QueryTypes } from 'sequelize'
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { usualDelivery, type DeliverySettings } from '@pebblestrand/core/forms'
import type { ErasureCounts, FormInfo, LeadRow, LeadWhole } from '@pebblestrand/contract'
import { Contact } from '../contacts/models'
import { Mail } from '../mail/models'
import { submit, standingForm, type StandingForm } from '../testing/forms'
import { startMailServer, type MailServer } from '../testing/mail-server'
import { setScene, type Scene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { story } from '../testing/story'
import { deliverLead, deliverLost } from './deliver'
import { sendDigests } from './digest'
import { contentOf, sealed } from './lead-content'
import { Lead, LeadDelivery } from './models'
import { forgetOldLeads } from './retention'
import { forgetInstanceSecret } from '../accounts/instance-secret'
import { callWaiting } from './webhook'

const KEY = 'a0'.repeat(32)
let mails: MailServer
let system: TestSystem
let ada: Person
let scene: Scene
let voucher: StandingForm
let called: { headers: IncomingHttpHeaders; body: string; url: string }[] = []
let answersWith = 200
let hook: Server
beforeAll(async () => {
  forgetInstanceSecret()
  mails = await startMailServer()
  hook = createServer((request, response) => {
    let body = ''
    request.on('data', (part: Buffer) => (body += part.toString()))
    request.on('end', () => {
      called.push({ headers: request.headers, body, url: request.url! })
      response.writeHead(answersWith).end()
    })
  }).listen(0, '127.0.0.1')
  await new Promise((resolve) => hook.once('listening', resolve))
  system = await startTestSystem({ PEBBLESTRAND_SMTP: mails.url, PEBBLESTRAND_LEADS_KEY: KEY })
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada)
})
afterAll(async () => {
  await system.stop()
  await mails.close()
  hook.close()
})
// Each has a form of its own: one that gets many answers is taken to be under attack.
beforeEach(async () => {
  called = []
  answersWith = 200
  mails.away = false
  await Contact.destroy({ where: {} })
  voucher = await standingForm(ada, scene, { starter: 'voucher' })
  await system.work()
})

const decide = async (form: StandingForm, delivery: Partial<DeliverySettings>) => {
  const answer = await ada.put(`/api/widgets/${form.widgetId}/form`, {
    ...usualDelivery,
    noteAgency: 'none',
    ...delivery,
  })
  expect(answer.status, JSON.stringify(answer.body)).toBe(200)
}
const reply = { reply: true, replySubject: 'Your code', replyText: 'Here it is: {coupon}', coupon: 'list' as const }
const send = (mail: string, more = {}) => submit(system, voucher, { email: mail, consent: 'yes', ...more })
const hears = (name: string) =>
  ada.post(`/api/sites/${scene.siteId}/contacts`, {
    name,
    email: `${name.toLowerCase()}@client.example`,
    roles: ['hears'],
    language: null,
    siteIds: [],
  })
const leadOf = async (q: string) => ((await ada.get(`/api/leads?q=${q}`)).body as { rows: LeadRow[] }).rows[0]!
const rows = <T extends object>(sql: string) => system.context.db.query<T>(sql, { type: QueryTypes.SELECT })

story('a reply with a code', (step) => {
  step('that its starter brings goes to who wrote, in the name of the site', async () => {
    const asItBegins = await standingForm(ada, scene, { starter: 'voucher', region: 'sidebar' })
    await submit(system, asItBegins, { email: 'isla@visitor.example', consent: 'yes' })
    await system.work()
    const [mail] = mails.to('isla@visitor.example')
    expect(mail).toMatchObject({ subject: 'Your code for brackenfold', from: { name: 'brackenfold' } })
    expect(mail!.text).toContain('Your code is WELCOME-10.')
  })
  step('of a list is another for each of fifty leads, ten at a time, and never one twice', async () => {
    await decide(voucher, reply)
    const codes = Array.from({ length: 50 }, (_, n) => `PEBBLE-${n}`)
    const added = await ada.post(`/api/widgets/${voucher.widgetId}/coupons`, {
      codes: [...codes, 'PEBBLE-3'].join('\n'),
    })
    expect(added.body).toEqual({ added: 50, doubles: 0, left: 50 })
    const answers = await Promise.all(Array.from({ length: 18 }, (_, n) => send(`v${n}@codes.example`)))
    expect(answers.every(({ statusCode }) => statusCode === 200)).toBe(true)
    // Beyond what a form under attack takes without work: the rest comes into the register as it is.
    const [first] = await Lead.findAll({ where: { widgetId: voucher.widgetId }, order: [['at', 'DESC']], limit: 1 })
    const more = await Promise.all(
      Array.from({ length: 32 }, (_, n) =>
        Lead.create({
          publicId: first!.publicId,
          key: `more-${n}`,
          widgetId: first!.widgetId,
          siteId: first!.siteId,
          release: first!.release,
          content: sealed(system.context.config, {
            ...contentOf(system.context.config, first!),
            responses: { email: `w${n}@codes.example`, consent: true },
          }),
        }),
      ),
    )
    const leads = await Lead.findAll({ where: { widgetId: voucher.widgetId, deliveredAt: null } })
    expect(leads).toHaveLength(50)
    expect(more).toHaveLength(32)
    // As many at once as there are connections to the database.
    const left = leads.map(({ id }) => id)
    const worker = async () => {
      for (let id = left.pop(); id; id = left.pop()) await deliverLead(system.context, id)
    }
    await Promise.all(Array.from({ length: 10 }, worker))
    await system.work()
    const given = await rows<{ code: string; lead: string }>(
      `SELECT code, lead_id AS lead FROM coupons WHERE given_at IS NOT NULL AND widget_id = '${voucher.widgetId}'`,
    )
    expect(new Set(given.map(({ code }) => code)).size).toBe(50)
    expect(new Set(given.map(({ lead }) => lead)).size).toBe(50)
    const written = mails.received.flatMap(({ mail }) => /PEBBLE-\d+/.exec(mail.text ?? '')?.[0] ?? [])
    expect([...written].sort()).toEqual([...codes].sort())
  })
  step('waits where none is left, Today says so, and goes out once there are more', async () => {
    await send('late@visitor.example')
    await system.work()
    expect(mails.to('late@visitor.example')).toEqual([])
    const { coupons } = (await ada.get('/api/today')).body as { coupons: object[] }
    expect(coupons).toEqual([expect.objectContaining({ widgetId: voucher.widgetId, left: 0, waiting: 1 })])
    await ada.post(`/api/widgets/${voucher.widgetId}/coupons`, {
      codes: Array.from({ length: 30 }, (_, n) => `NEW-${n}`).join(', '),
    })
    await system.work()
    expect(mails.to('late@visitor.example')[0]!.text).toContain('NEW-0')
    const today = (await ada.get('/api/today')).body as { coupons: object[] }
    expect(today.coupons).toEqual([]) // 29 are left
  })
  step('is refused where its blanks cannot be filled', async () => {
    const put = (change: object) =>
      ada.put(`/api/widgets/${voucher.widgetId}/form`, { ...usualDelivery, ...reply, ...change })
    for (const [change, field] of [
      [{ replyText: 'No code' }, 'replyText'],
      [{ coupon: 'fixed', code: '' }, 'code'],
      [{ replyText: '{coupon} {weather}' }, 'replyText'],
      [{ replySubject: 'a\r\nBcc: x@y.example' }, 'replySubject'],
    ] as const)
      expect((await put(change)).body).toMatchObject({ error: { issues: [{ field }] } })
  })
})

describe('killed between keeping and mailing', () => {
  it('it is one lead and one mail in the end', async () => {
    await decide(voucher, { ...reply, coupon: 'fixed', code: 'ONE' })
    await send('killed@visitor.example')
    const { id } = await leadOf('killed@visitor.example')
    const { queue } = system.context
    const broken = vi.spyOn(queue, 'sendMany').mockRejectedValueOnce(new Error('killed'))
    await expect(deliverLead(system.context, id)).rejects.toThrow('killed')
    broken.mockRestore()
    expect(await rows(`SELECT 1 FROM mails WHERE lead_ids @> '["${id}"]'`)).toEqual([])
    await Lead.update({ at: new Date(Date.now() - 120_000) }, { where: { id } })
    await Promise.all([deliverLost(system.context), deliverLead(system.context, id), system.work()])
    await system.work()
    expect(mails.to('killed@visitor.example')).toHaveLength(1)
    expect(await Lead.count({ where: { id } })).toBe(1)
  })
  it('tried by several at once, its reply counts once of the two that an address may have in a day', async () => {
    await decide(voucher, { ...reply, coupon: 'fixed', code: 'TWICE' })
    for (const n of [1, 2]) {
      await send('twice@visitor.example')
      const { id } = await leadOf('twice@visitor.example')
      await Promise.all([1, 2, 3].map(() => deliverLead(system.context, id)))
      await system.work()
      expect(mails.to('twice@visitor.example')).toHaveLength(n)
    }
  })
})

story('who is told', (step) => {
  step('the agency of each at once; nobody at the client is a fault that is said', async () => {
    await decide(voucher, { noteAgency: 'each', noteClient: 'each' })
    await send('told@visitor.example')
    await system.work()
    const [note] = mails.to('ada@agency.example').slice(-1)
    expect(note!.text).toContain('E-mail address: told@visitor.example')
    expect(note!.replyTo).toEqual([{ name: '', address: 'told@visitor.example' }])
    const { deliveries } = (await ada.get(`/api/leads/${(await leadOf('told@visitor.example')).id}`)).body as LeadWhole
    expect(deliveries).toEqual([
      expect.objectContaining({ what: 'note-agency', state: 'sent' }),
      expect.objectContaining({
        what: 'note-client',
        state: 'failed',
        problem: expect.stringContaining('Nobody there') as string,
      }),
    ])
  })
  step('the client once a day of all, in the morning there', async () => {
    await hears('Bram')
    await ada.patch(`/api/sites/${scene.siteId}`, { timeZone: 'Pacific/Auckland' })
    await decide(voucher, { noteClient: 'daily' })
    for (const one of ['one', 'two']) await send(`${one}@daily.example`)
    await system.work()
    const base = new Date()
    const hour = (h: number) => {
      const at = new Date(base)
      for (let n = 0; n < 24; n++, at.setUTCHours(at.getUTCHours() + 1))
        if (
          Number(
            new Intl.DateTimeFormat('en-GB', {
              timeZone: 'Pacific/Auckland',
              hour: '2-digit',
              hourCycle: 'h23',
            }).format(at),
          ) === h
        )
          return new Date(at)
      throw new Error('no such hour')
    }
    await sendDigests(system.context, hour(6))
    await system.work()
    expect(mails.to('bram@client.example')).toEqual([])
    await sendDigests(system.context, hour(7))
    await sendDigests(system.context, hour(7))
    await system.work()
    const all = mails.to('bram@client.example')
    expect(all).toHaveLength(1)
    expect(all[0]!.text).toContain('one@daily.example')
    expect(all[0]!.text).toContain('two@daily.example')
  })
})

describe('a webhook', () => {
  it('is told of each, signed; what is not taken is told again after a pause, under the same id', async () => {
    const { port } = hook.address() as AddressInfo
    // The stand-in listens on loopback, which only names below localhost lead to in the demo.
    await decide(voucher, { webhook: `http://hook.localhost:${port}/leads?from=us` })
    const { webhookSecret } = (await ada.get(`/api/widgets/${voucher.widgetId}/form`)).body as FormInfo
    answersWith = 503
    await send('hooked@visitor.example')
    await system.work()
    expect(called).toHaveLength(1)
    answersWith = 204
    await callWaiting(system.context, new Date())
    expect(called).toHaveLength(1)
    await callWaiting(system.context, new Date(Date.now() + 61_000))
    expect(called).toHaveLength(2)
    const [first, second] = called.map(({ body }) => JSON.parse(body) as { id: string; answers: object })
    expect(first).toEqual(second)
    expect(first!.answers).toEqual({ email: 'hooked@visitor.example', consent: true })
    // As a receiver checks it (RFC 9421, section 3.2): from what it got, and the secret alone.
    const { headers, url } = called[1]!
    const parameters = /^pebblestrand=(.*)$/.exec(String(headers['signature-input']))![1]!
    const base = [
      '"@method": POST',
      `"@target-uri": http://hook.localhost:${port}${url}`,
      `"content-digest": ${String(headers['content-digest'])}`,
      `"@signature-params": ${parameters}`,
    ].join('\n')
    expect(headers.signature).toBe(
      `pebblestrand=:${createHmac('sha256', webhookSecret).update(base).digest('base64')}:`,
    )
    const delivery = await LeadDelivery.findOne({ where: { leadId: first!.id, what: 'webhook' } })
    expect(delivery).toMatchObject({ state: 'sent', tries: 2, problem: null })
  })
  it('on an address that is nobody’s to reach is not called', async () => {
    const { port } = hook.address() as AddressInfo
    await decide(voucher, { webhook: `http://127.0.0.1:${port}/` })
    await send('refused@visitor.example')
    await system.work()
    expect(called).toEqual([])
    const { deliveries } = (await ada.get(`/api/leads/${(await leadOf('refused@visitor.example')).id}`))
      .body as LeadWhole
    expect(deliveries[0]).toMatchObject({
      what: 'webhook',
      state: 'queued',
      problem: expect.stringContaining('127.0.0.1') as string,
    })
  })
})

describe('what was written', () => {
  it('lies sealed in the database, addresses and mails that wait too, and is gone from a mail that was sent', async () => {
    await decide(voucher, { ...reply, coupon: 'fixed', code: 'SEALED' })
    await send('sealed@visitor.example')
    const { id } = await leadOf('sealed@visitor.example')
    mails.away = true
    await deliverLead(system.context, id)
    await system.work()
    const everything = async () => {
      const tables = await rows<{ name: string }>(
        `SELECT table_name AS name FROM information_schema.tables WHERE table_schema IN ('public', 'queue') AND table_type = 'BASE TABLE'`,
      )
      const texts = await Promise.all(
        tables.map(({ name }) =>
          rows(
            `SELECT t::text AS row FROM ${['job', 'archive', 'schedule', 'queue', 'version', 'subscription'].includes(name) ? `queue.${name}` : name} t`,
          ).catch(() => []),
        ),
      )
      return JSON.stringify(texts)
    }
    expect(await everything()).not.toContain('sealed@visitor')
    mails.away = false
    await Mail.update({ nextAt: new Date() }, { where: { state: 'queued' } })
    const { sendWaiting } = await import('../mail/send')
    await sendWaiting(system.context, new Date(Date.now() + 5000))
    expect(mails.to('sealed@visitor.example')).toHaveLength(1)
    const [mail] = await rows<{ text: string; to_mail: string }>(`SELECT * FROM mails WHERE lead_ids @> '["${id}"]'`)
    expect(mail).toMatchObject({ state: 'sent', text: '', to_mail: '', subject: '' })
  })
})

describe('deleted by request', () => {
  it('nothing is left of an address: in the register, in what was removed, and in the mails; a receipt says so without it', async () => {
    await hears('Runa')
    await decide(voucher, { ...reply, coupon: 'fixed', code: 'GONE', noteClient: 'daily' })
    const other = await standingForm(ada, scene, { starter: 'newsletter', region: 'footer' })
    await decide(other, { ...reply, noteClient: 'none' })
    await ada.post(`/api/widgets/${other.widgetId}/coupons`, { codes: 'GIVEN-1, GIVEN-2' })
    await submit(system, other, { email: 'Gone@Visitor.example', consent: 'yes' })
    await system.work()
    const removal = (await ada.post('/api/removals', { what: 'widget', id: other.widgetId, standing: 0 })).body as {
      id: string
    }
    await send('gone@visitor.example')
    await send('stays@visitor.example')
    mails.away = true
    await system.work()
    await sendDigests(system.context, new Date(Date.now() + 2 * 86_400_000))
    const counts = { leads: 1, mails: 3, archived: 1 } satisfies ErasureCounts
    expect((await ada.post('/api/erasures/foresee', { mail: 'gone@visitor.example' })).body).toEqual(counts)
    const receipt = (await ada.post('/api/erasures', { mail: 'GONE@visitor.example' })).body as {
      counts: ErasureCounts
    }
    expect(receipt.counts).toEqual(counts)
    expect((await ada.post('/api/erasures/foresee', { mail: 'gone@visitor.example' })).body).toEqual({
      leads: 0,
      mails: 0,
      archived: 0,
    })
    const [left] = await rows<{ n: number }>(`SELECT count(*)::int AS n FROM removed_rows WHERE table_name = 'leads'`)
    expect(left!.n).toBe(0)
    // All else that went with it still comes back.
    expect((await ada.delete(`/api/removals/${removal.id}`)).status).toBe(200)
    expect(await Lead.count({ where: { widgetId: other.widgetId } })).toBe(0)
    await ada.post('/api/removals', { what: 'widget', id: other.widgetId, standing: 0 })
    expect(JSON.stringify((await ada.get('/api/erasures')).body)).not.toContain('visitor.example')
    // Who else stood in the note that waited is told of in the next.
    mails.away = false
    await sendDigests(system.context, new Date(Date.now() + 3 * 86_400_000))
    await system.work()
    const text = mails
      .to('runa@client.example')
      .map((mail) => mail.text)
      .join('\n')
    expect(text).toContain('stays@visitor.example')
    expect(text).not.toContain('gone@visitor.example')
    expect(mails.to('gone@visitor.example')).toEqual([])
  })
})

describe('deleted by age', () => {
  it('as each form says, with its mails; for ever where it says so', async () => {
    const ours = { where: { widgetId: voucher.widgetId } }
    const n = 6
    for (let k = 0; k < n; k++) await send(`old${k}@visitor.example`)
    expect(await Lead.count(ours)).toBe(n)
    await decide(voucher, { keepDays: 10 })
    const at = (days: number) => new Date(Date.now() + days * 86_400_000)
    await forgetOldLeads(system.context, at(9))
    expect(await Lead.count(ours)).toBe(n)
    await decide(voucher, { keepDays: 0 })
    await forgetOldLeads(system.context, at(4000))
    expect([await Lead.count(ours), await Lead.count()]).toEqual([n, n]) // the other form keeps them for a year
    await decide(voucher, { keepDays: 10 })
    // With no time left it says that there is more, and goes on later.
    expect(await forgetOldLeads(system.context, at(11), { isUp: () => true })).toBe('more')
    expect(await Lead.count()).toBe(n)
    expect(await forgetOldLeads(system.context, at(11))).toBeUndefined()
    expect(await Lead.count()).toBe(0)
    expect(await rows(`SELECT 1 FROM mails WHERE lead_ids <> '[]'`)).toEqual([])
    expect(await rows('SELECT 1 FROM lead_deliveries')).toEqual([])
  })
})
