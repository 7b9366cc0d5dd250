import { Writable } from 'node:stream'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterAll, beforeAll, expect } from 'vitest'
import { QueryTypes } from 'sequelize'
import { kindOf } from '@pebblestrand/core/kinds'
import { usualDelivery, type FormDefinition } from '@pebblestrand/core/forms'
import { Mail } from '../mail/models'
import { sendWaiting } from '../mail/send'
import { standingForm, submit, type StandingForm } from '../testing/forms'
import { startMailServer, type MailServer } from '../testing/mail-server'
import { setScene } from '../testing/scene'
import { story } from '../testing/story'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { sendDigests } from './digest'
import { Lead } from './models'
import { forgetInstanceSecret } from '../accounts/instance-secret'
import { callWaiting } from './webhook'

// With a key set, nothing of a visitor lies anywhere in clear: in no table, in no job, in no line of the log.

const MARK = 'zanderwick'
/** Loopback and documentation addresses (RFC 5737) that nothing else here uses. */
const IPS = ['203.0.113.171', '203.0.113.172']
const starters = kindOf('form')!.starters.map(({ id }) => id)

let mails: MailServer
let hook: Server
let system: TestSystem
let log = ''
const forms: [starter: string, form: StandingForm, definition: FormDefinition][] = []
beforeAll(async () => {
  forgetInstanceSecret()
  mails = await startMailServer()
  hook = createServer((_request, response) => void response.writeHead(500).end()).listen(0, '127.0.0.1')
  await new Promise((resolve) => hook.once('listening', resolve))
  const stream = new Writable({
    write(chunk: Buffer, _encoding, done) {
      log += chunk.toString()
      done()
    },
  })
  const env = { PEBBLESTRAND_SMTP: mails.url, PEBBLESTRAND_LEADS_KEY: 'c3'.repeat(32) }
  system = await startTestSystem(env, { stream })
  const ada = await new Person(system.app).join()
  const regions = ['header', 'main', 'sidebar', 'footer']
  const scenes = [await setScene(system, ada), await setScene(system, ada, 'gullhaven', '/fares', 'Ferry news')]
  for (const [at, starter] of starters.entries()) {
    const form = await standingForm(ada, scenes[Math.floor(at / 4)]!, { starter, region: regions[at % 4]! })
    const decided = await ada.put(`/api/widgets/${form.widgetId}/form`, {
      ...usualDelivery,
      reply: true,
      replySubject: 'Thank you',
      replyText: 'Thank you',
      noteAgency: at % 2 ? 'each' : 'daily',
      noteClient: 'each',
      webhook: `http://hook.localhost:${(hook.address() as AddressInfo).port}/`,
    })
    expect(decided.status).toBe(200)
    const { draft } = (await ada.get(`/api/widgets/${form.widgetId}`)).body as {
      draft: { settings: { fields: FormDefinition } }
    }
    forms.push([starter, form, draft.settings.fields])
  }
  await system.work()
})
afterAll(async () => {
  await system.stop()
  await mails.close()
  hook.close()
})

/** Every field filled in, with the mark wherever a visitor can write what they like. */
const filledIn = (definition: FormDefinition, mail: string): Record<string, string> =>
  Object.fromEntries(
    definition.steps
      .flatMap(({ fields }) => fields)
      .map((field): [string, string] => {
        if (field.is === 'email') return [field.name, mail]
        if (field.is === 'telephone') return [field.name, '01632 960 871']
        if (field.is === 'number') return [field.name, String(field.min ?? 2)]
        if (field.is === 'one-of' || field.is === 'several-of') return [field.name, field.options[0]!.value]
        if (field.is === 'tick' || field.is === 'consent') return [field.name, 'yes']
        if (field.is === 'rating') return [field.name, '3']
        if (field.is === 'date') return [field.name, new Date(Date.now() + 9 * 86_400_000).toISOString().slice(0, 10)]
        return [field.name, `${MARK} says`]
      }),
  )

/** All rows of all tables as text. */
async function everything(): Promise<string> {
  const { db } = system.context
  const tables = await db.query<{ name: string }>(
    `SELECT quote_ident(table_schema) || '.' || quote_ident(table_name) AS name FROM information_schema.tables
     WHERE table_schema NOT IN ('pg_catalog', 'information_schema') AND table_type = 'BASE TABLE'`,
    { type: QueryTypes.SELECT },
  )
  expect(tables.length).toBeGreaterThan(40)
  const texts = await Promise.all(
    tables.map(({ name }) =>
      db.query<{ row: string }>(`SELECT t::text AS row FROM ${name} t`, { type: QueryTypes.SELECT }),
    ),
  )
  return texts.flatMap((rows) => rows.map(({ row }) => row)).join('\n')
}

const clues = [MARK, '960 871', '960871', ...IPS]
async function nothingIsInClear(when: string): Promise<void> {
  const all = await everything()
  for (const clue of clues) {
    expect(all.toLowerCase().includes(clue), `${clue} in the database, ${when}`).toBe(false)
    expect(log.toLowerCase().includes(clue), `${clue} in the log, ${when}`).toBe(false)
  }
}

story(
  'what visitors write is in clear nowhere',
  (step) => {
    step('every form, the whole way', async () => {
      expect(starters.length).toBeGreaterThan(4)
      const sent: string[] = []
      for (const [starter, form, definition] of forms) {
        const days = definition.steps.flatMap(({ fields }) => fields).some(({ is }) => is === 'date')
        const send = async (who: string, more: Record<string, string>, how: { accept?: string; ip?: string }) => {
          const body = { ...filledIn(definition, `${who}@${starter}.${MARK}.example`), ...more }
          // A day of the week may be left out by the form: another then.
          for (let day = 9; ; day++) {
            if (days)
              for (const field of definition.steps.flatMap(({ fields }) => fields))
                if (field.is === 'date')
                  body[field.name] = new Date(Date.now() + day * 86_400_000).toISOString().slice(0, 10)
            const { statusCode, body: said } = await submit(system, form, body, how)
            if (statusCode === 422 && days && day < 16) continue
            expect(statusCode, `${starter}: ${said.slice(0, 300)}`).toBe(200)
            return void sent.push(who)
          }
        }
        await send('scripted', { _from: `${MARK}.example` }, { ip: IPS[0] })
        await send('plain', { _key: '', _took: '' }, { ip: IPS[1], accept: 'text/html' })
        await send('nobody', {}, { ip: IPS[0] })
        await send('trapped', { _website: MARK }, { ip: IPS[1] })
      }
      await nothingIsInClear('kept')
      mails.away = true
      await system.work()
      await nothingIsInClear('while mails and calls wait')
      mails.away = false
      await Mail.update({ nextAt: new Date() }, { where: { state: 'queued' } })
      await sendWaiting(system.context, new Date(Date.now() + 60_000))
      await callWaiting(system.context, new Date(Date.now() + 120_000))
      await sendDigests(system.context, new Date(Date.now() + 2 * 86_400_000))
      await system.work()
      await sendWaiting(system.context, new Date(Date.now() + 120_000))
      await nothingIsInClear('sent, bounced and called')
      expect(mails.received.length).toBeGreaterThan(forms.length)
      expect(await Mail.count({ where: { state: 'bounced' } })).toBeGreaterThan(0)
      expect(await Lead.count()).toBe(sent.length)
    })

    step('removed with its site, too', async () => {
      const [, form] = forms[0]!
      const ada = await new Person(system.app).signIn()
      const removed = await ada.post('/api/removals', { what: 'widget', id: form.widgetId, standing: 0 })
      expect(removed.status, JSON.stringify(removed.body)).toBe(200)
      await nothingIsInClear('removed')
    })
  },
  120_000,
)
