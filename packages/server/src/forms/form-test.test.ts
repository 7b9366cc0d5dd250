import type { AddressInfo } from 'node:net'
import { createServer } from 'node:net'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { usualDelivery } from '@pebblestrand/core/forms'
import type { FormInfo, FormTestInfo, LeadRow } from '@pebblestrand/contract'
import { Check, FindingRow } from '../findings/models'
import { standingForm, submit, type StandingForm } from '../testing/forms'
import { startMailServer, type MailServer } from '../testing/mail-server'
import { pasteAt, setScene, type Scene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { Form, FormTest, Lead } from './models'
import { forgetInstanceSecret } from '../accounts/instance-secret'

let mails: MailServer
let system: TestSystem
let ada: Person
let scene: Scene
let table: StandingForm
beforeAll(async () => {
  forgetInstanceSecret()
  mails = await startMailServer()
  const free = createServer().listen(0, '127.0.0.1')
  await new Promise((resolve) => free.once('listening', resolve))
  const { port } = free.address() as AddressInfo
  await new Promise((resolve) => free.close(resolve))
  system = await startTestSystem({ PEBBLESTRAND_SMTP: mails.url, PEBBLESTRAND_ORIGIN: `http://127.0.0.1:${port}` })
  await system.app.listen({ port, host: '127.0.0.1' })
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada)
  table = await standingForm(ada, scene, { starter: 'table' })
  await system.work()
})
afterAll(async () => {
  await system.stop()
  await mails.close()
})

beforeEach(async () => {
  mails.received.length = 0
  await FormTest.destroy({ where: {} })
  await Lead.destroy({ where: {} })
  await Form.destroy({ where: {} }) // what becomes of answers is as it was begun with
  await system.context.db.query('DELETE FROM tries') // a day later: each writes to the same people
})

async function test(body: object): Promise<FormTestInfo> {
  const { id } = (await ada.post(`/api/widgets/${table.widgetId}/form-tests`, body)).body as { id: string }
  await system.work()
  return (await ada.get(`/api/form-tests/${id}`)).body as FormTestInfo
}
const stages = ({ steps }: FormTestInfo) => steps.map(({ stage, well }) => `${stage} ${well ? 'well' : 'not'}`)

describe('a test submission', () => {
  it('goes the whole way from the form’s own address, mails included, is marked, and is counted nowhere', async () => {
    const done = await test({ installId: table.install.id })
    expect([done.state, stages(done)]).toEqual([
      'well',
      ['reach well', 'take well', 'store well', 'reply well', 'note-client well'],
    ])
    const sent = mails.to('ada@agency.example')
    expect(sent.map(({ subject }) => subject!.slice(0, 6))).toEqual(['Test: ', 'Test: '])
    expect(sent[1]!.text).toContain('This is a test. Nobody filled it in.')
    expect(((await ada.get('/api/leads')).body as { rows: LeadRow[] }).rows).toEqual([])
    expect(((await ada.get('/api/leads?tests=1')).body as { rows: LeadRow[] }).rows[0]).toMatchObject({ isTest: true })
    const { counts, tests } = (await ada.get(`/api/widgets/${table.widgetId}/form`)).body as FormInfo
    expect(counts).toEqual({ new: 0, done: 0, spam: 0, held: 0 })
    expect(tests).toHaveLength(1)
  })
  it('can be sent by nobody else', async () => {
    const fields = { day: '2099-01-01', hour: '12:00', guests: '2', name: 'x', email: 'a@b.example' }
    await submit(system, table, { ...fields, _test: 'made-up' })
    expect(await Lead.count({ where: { isTest: true } })).toBe(0)
  })
  it('of a draft that stands nowhere tries what comes after', async () => {
    const done = await test({})
    expect([done.state, stages(done)]).toEqual(['well', ['take well', 'store well', 'reply well', 'note-client well']])
  })
  it('says where it stopped', async () => {
    mails.away = true
    const done = await test({ installId: table.install.id })
    mails.away = false
    expect([done.state, stages(done).at(3)]).toEqual(['stopped', 'reply not'])
    expect(done.steps.at(3)!.says).toContain('Later')
    const hooked = await ada.put(`/api/widgets/${table.widgetId}/form`, {
      ...usualDelivery,
      noteAgency: 'none',
      webhook: 'http://nobody.localhost:9/',
    })
    expect(hooked.status).toBe(200)
    const other = await test({ installId: table.install.id })
    expect(stages(other)).toEqual(['reach well', 'take well', 'store well', 'webhook not'])
  })
})

describe('a check', () => {
  const checked = async () => {
    const { checkId } = (await ada.post(`/api/installs/${table.install.id}/checks`, {})).body as { checkId: string }
    await system.work()
    const found = await FindingRow.findAll({ where: { checkId }, order: ['position'] })
    return { check: (await Check.findByPk(checkId))!, found: found.map(({ code, says }) => [code, says] as const) }
  }
  it('sends one on a schedule, proves that it arrived, and finds a form that does not deliver', async () => {
    const { snippets } = (await ada.get(`/api/installs/${table.install.id}`)).body as { snippets: { inline: string } }
    await pasteAt('brackenfold', '/orchard', { 'main.code': snippets.inline })
    await ada.post(`/api/installs/${table.install.id}/pasted`, {})
    await ada.put(`/api/widgets/${table.widgetId}/form`, { ...usualDelivery, testEvery: 7 })
    const well = await checked()
    expect([well.check.statusAfter, well.found]).toEqual(['confirmed', []])
    expect(await FormTest.count()).toBe(1)
    await checked()
    expect(await FormTest.count()).toBe(1) // not before a week is over
    await FormTest.update({ beganAt: new Date(Date.now() - 8 * 86_400_000) }, { where: {} })
    mails.away = true
    const ill = await checked()
    mails.away = false
    expect(ill.check.statusAfter).toBe('needs-a-hand')
    expect(ill.found).toEqual([['form-not-delivering', expect.stringContaining('Later') as string]])
    await FormTest.update({ beganAt: new Date(Date.now() - 3_600_000) }, { where: {} })
    expect((await checked()).check.statusAfter).toBe('confirmed')
    await pasteAt('brackenfold', '/orchard', { 'main.code': '' })
  })
})
