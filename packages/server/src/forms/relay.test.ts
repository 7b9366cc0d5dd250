import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { asRelayed } from '../testing/relay'
import { usualDelivery, type DeliverySettings } from '@pebblestrand/core/forms'
import type { FormInfo, LeadRow, LeadWhole } from '@pebblestrand/contract'
import { submit, standingForm, type StandingForm } from '../testing/forms'
import { startMailServer, type MailServer } from '../testing/mail-server'
import { setScene, type Scene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { replyToLimited } from './reply'
import { forgetInstanceSecret } from '../accounts/instance-secret'

// Replies go to addresses that strangers type, in the client's name. What a stranger can make of that.

let mails: MailServer
let system: TestSystem
let ada: Person
let scene: Scene
let form: StandingForm
const fields = {
  steps: [
    {
      title: '',
      fields: [
        { is: 'email', name: 'email', label: 'Address', required: true },
        { is: 'short', name: 'name', label: 'Name', most: 200 },
        { is: 'telephone', name: 'phone', label: 'Telephone' },
        { is: 'consent', name: 'consent', label: 'You may write to me', required: false },
      ],
    },
  ],
}
beforeAll(async () => {
  forgetInstanceSecret()
  mails = await startMailServer()
  system = await startTestSystem({ PEBBLESTRAND_SMTP: mails.url, PEBBLESTRAND_FORM_ATTACK: '1000' })
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada)
  form = await standingForm(ada, scene, { starter: 'voucher', settings: { fields } })
  await system.work()
})
afterAll(async () => {
  await system.stop()
  await mails.close()
})
beforeEach(() => decide({ repliesPerHour: 1000 }))

/** Where what its form has sent is counted. */
const withItsOwnForm = () =>
  beforeEach(async () => {
    form = await standingForm(ada, scene, { starter: 'voucher', settings: { fields } })
    await decide({ repliesPerHour: 1000 })
    await system.work()
  })

const reply = { reply: true, replySubject: 'Hello {name}', replyText: 'Hello {name}, we call {phone}. {email}' }
const decide = async (delivery: Partial<DeliverySettings>) => {
  const answer = await ada.put(`/api/widgets/${form.widgetId}/form`, {
    ...usualDelivery,
    noteAgency: 'none',
    ...reply,
    ...delivery,
  })
  expect(answer.status, JSON.stringify(answer.body)).toBe(200)
}
const sendOnly = async (email: string, more: Record<string, string> = {}, ip?: string) => {
  const { statusCode, body } = await submit(system, form, { email, name: 'Isla', ...more }, ip ? { ip } : {})
  expect(statusCode, body).toBe(200)
}
const send = async (email: string, more: Record<string, string> = {}, ip?: string) => {
  await sendOnly(email, more, ip)
  await system.work()
}
const consent = { consent: 'yes' }
const leadOf = async (q: string): Promise<LeadWhole> => {
  const { rows } = (await ada.get(`/api/leads?q=${q}`)).body as { rows: LeadRow[] }
  return (await ada.get(`/api/leads/${rows[0]!.id}`)).body as LeadWhole
}
const replyOf = async (q: string) => (await leadOf(q)).deliveries.find(({ what }) => what === 'reply')!
const info = async () => (await ada.get(`/api/widgets/${form.widgetId}/form`)).body as FormInfo
const linkIn = (address: string) => /https:\/\/strand\.example(\S+)/.exec(mails.to(address)[0]!.text!)![1]!

describe('what a stranger wrote', () => {
  it.each(asRelayed)('%j is no message in a reply', async (name, kept) => {
    const address = `victim-${Math.random().toString(36).slice(2)}@visitor.example`
    await send(address, { ...consent, name, phone: '0900 123 456 789' })
    const [mail] = mails.to(address)
    expect(mail!.subject).toBe(`Hello ${kept}`.trim())
    expect(mail!.text!.trim()).toBe(`Hello${kept && ` ${kept}`}, we call … 789. ${address}`)
    expect(mail!.html).not.toMatch(/<a /)
  })
  it('is refused within an address of ours', async () => {
    const answer = await ada.put(`/api/widgets/${form.widgetId}/form`, {
      ...usualDelivery,
      ...reply,
      replyText: 'See https://shop.example/?q={name}',
    })
    expect(answer.body).toMatchObject({
      error: { issues: [{ field: 'replyText', message: expect.stringContaining('{name}') as string }] },
    })
  })
})

describe('an address that nobody consented with', () => {
  withItsOwnForm()
  it('is asked first, with nothing of a stranger’s in the mail; opened alone the link confirms nothing', async () => {
    await send('asked@visitor.example', { name: 'Buy at evil.example' })
    const [asked, ...more] = mails.to('asked@visitor.example')
    expect(more).toEqual([])
    expect(asked!.subject).toBe('Please confirm your address')
    expect(asked!.text).not.toMatch(/Buy|evil/)
    expect(await replyOf('asked@')).toMatchObject({ state: 'unconfirmed' })
    expect((await info()).replies).toEqual({ unconfirmed: 1, limited: 0 })
    const link = linkIn('asked@visitor.example')
    const page = await system.app.inject(link)
    expect([page.statusCode, page.headers['referrer-policy'], page.headers['cache-control']]).toEqual([
      200,
      'no-referrer',
      'no-store',
    ])
    expect(page.body).toContain('<button class="act">Yes, this is my address</button>')
    expect(page.body).not.toContain('<script')
    await system.work()
    expect(mails.to('asked@visitor.example')).toHaveLength(1)
    for (let press = 0; press < 2; press++) {
      const { statusCode, body } = await system.app.inject({ method: 'POST', url: link })
      expect([statusCode, body.includes('Our reply is on its way')]).toEqual([200, true])
    }
    await system.work()
    expect(mails.to('asked@visitor.example').map(({ subject }) => subject)).toEqual([
      'Please confirm your address',
      'Hello',
    ])
    const { confirmation } = await leadOf('asked@')
    expect(confirmation).toMatchObject({
      subject: 'Please confirm your address',
      text: expect.stringContaining('Someone gave this address') as string,
    })
    expect(Date.parse(confirmation!.confirmedAt!)).toBeGreaterThanOrEqual(Date.parse(confirmation!.sentAt))
  })
  it('is asked in the agency’s own words, where it has some; they need the link', async () => {
    const put = (confirmText: string) =>
      ada.put(`/api/widgets/${form.widgetId}/form`, { ...usualDelivery, ...reply, confirmText })
    expect((await put('No way')).body).toMatchObject({ error: { issues: [{ field: 'confirmText' }] } })
    expect((await put('{link} {name}')).body).toMatchObject({ error: { issues: [{ field: 'confirmText' }] } })
    await decide({ confirmSubject: 'Is it you at {site}?', confirmText: 'Press {link}' })
    await send('own-words@visitor.example')
    expect(mails.to('own-words@visitor.example')[0]).toMatchObject({ subject: 'Is it you at brackenfold?' })
  })
  it.each([
    '/confirm-address/x',
    '/confirm-address/11111111-1111-4111-8111-111111111111.aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa',
  ])('%s is no link of ours', async (url) => {
    for (const method of ['GET', 'POST'] as const)
      expect((await system.app.inject({ method, url })).statusCode).toBe(404)
  })
  it('is not asked where the agency says so, and always where it says that', async () => {
    await decide({ confirm: 'never' })
    await send('never@visitor.example')
    expect(mails.to('never@visitor.example')[0]!.subject).toBe('Hello Isla')
    await decide({ confirm: 'always' })
    await send('always@visitor.example', consent)
    expect(mails.to('always@visitor.example')[0]!.subject).toBe('Please confirm your address')
  })
})

describe('how many', () => {
  withItsOwnForm()
  it('two a day go to one address, from whichever network they are asked for', async () => {
    for (let n = 0; n < 4; n++) await send('often@visitor.example', consent, `203.0.${n}.1`)
    expect(mails.to('often@visitor.example')).toHaveLength(2)
    expect(await replyOf('often@')).toMatchObject({
      state: 'failed',
      problem: expect.stringContaining('today') as string,
    })
  })
  it('one household has five an hour, whatever address of its /64 it uses', async () => {
    for (let n = 0; n < 7; n++) await sendOnly(`six-${n}@visitor.example`, consent, `2001:db8:5:6::${n + 1}`)
    await system.work()
    expect(mails.received.filter(({ to: [to] }) => to!.startsWith('six-'))).toHaveLength(5)
  })
  it('one network has forty an hour', async () => {
    // Held back as a submission by then, or its reply is not sent: in either case nothing goes out.
    for (let n = 0; n < 50; n++) await sendOnly(`near-${n}@visitor.example`, consent, `198.18.7.${n + 1}`)
    await system.work()
    expect(mails.received.filter(({ to: [to] }) => to!.startsWith('near-')).length).toBeLessThanOrEqual(40)
  })
  it('of one form so many an hour; the others wait, it is said, and the limit can be raised', async () => {
    await decide({ repliesPerHour: 1 })
    await send('the-one-of-this-hour@visitor.example', consent, '203.0.99.1')
    const before = (await info()).replies.limited
    for (let n = 0; n < 3; n++) await send(`hour-${n}@visitor.example`, consent, `203.0.${100 + n}.1`)
    const went = () => mails.received.filter(({ to: [to] }) => to!.startsWith('hour-'))
    expect(went()).toHaveLength(0)
    expect((await info()).replies.limited).toBe(before + 3)
    await replyToLimited(system.context, new Date(Date.now() + 700_000))
    expect((await info()).replies.limited).toBe(before + 3)
    await decide({ repliesPerHour: 1000 })
    await system.work()
    expect(went()).toHaveLength(3)
    expect((await info()).replies.limited).toBe(0)
  })
})
