import { parse } from 'csv-parse/sync'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import type { FormInfo, LeadRow, LeadWhole } from '@pebblestrand/contract'
import { solve } from '@pebblestrand/core/forms'
import { standingForm, submit, type StandingForm } from '../testing/forms'
import { setScene, type Scene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { Lead } from './models'
import { forgetInstanceSecret } from '../accounts/instance-secret'

let system: TestSystem
let ada: Person
let scene: Scene
let call: StandingForm
let poll: StandingForm
let letters: StandingForm
beforeAll(async () => {
  forgetInstanceSecret()
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada)
  call = await standingForm(ada, scene, { starter: 'call-back' })
  poll = await standingForm(ada, scene, { starter: 'poll', region: 'sidebar' })
  letters = await standingForm(ada, scene, { starter: 'newsletter', region: 'footer' })
  await system.work()
})
afterAll(() => system.stop())
beforeEach(() => system.context.db.query('TRUNCATE leads, poll_counts CASCADE'))

const wish = { name: 'Isla Fearn', telephone: '+44 1632 960 001', when: 'morning' }
const list = async (query = '') =>
  (await ada.get(`/api/leads?${query}`)).body as { rows: LeadRow[]; total: number; held: number }
const held = async () => (await list('state=held')).rows

describe('what is sent', () => {
  it('is kept, with where it came from, and answered for any origin without a cookie', async () => {
    const answer = await submit(system, call, { ...wish, _from: 'search.example', about: 'A bicycle\r\nof mine' })
    expect([answer.statusCode, answer.json()]).toEqual([200, { ok: true, results: '' }])
    expect(answer.headers).toMatchObject({ 'access-control-allow-origin': '*', 'cache-control': 'no-store' })
    expect(answer.headers['set-cookie']).toBeUndefined()
    const [row] = (await list(`widgetId=${call.widgetId}`)).rows
    expect(row).toMatchObject({ state: 'new', site: 'brackenfold', path: '/orchard', isTest: false })
    const whole = (await ada.get(`/api/leads/${row!.id}`)).body as LeadWhole
    expect(whole).toMatchObject({ from: 'search.example', release: 1, installId: call.install.id })
    expect(whole.says).toEqual([
      { label: 'Your name', says: 'Isla Fearn' },
      { label: 'Telephone number', says: '+44 1632 960 001' },
      { label: 'When is it best?', says: 'In the morning' },
      { label: 'What is it about?', says: 'A bicycle\nof mine' },
    ])
  })
  it('sent again under the same key is one lead, however often and however fast', async () => {
    const again = { ...wish, name: 'Twice', _key: 'the-same-key-again' }
    const answers = await Promise.all([1, 2, 3, 4].map((n) => submit(system, call, again, { ip: `198.51.100.${n}` })))
    expect(answers.map(({ statusCode }) => statusCode)).toEqual([200, 200, 200, 200])
    expect(await Lead.count({ where: { publicId: call.install.publicId, key: 'the-same-key-again' } })).toBe(1)
  })
  it('that is not well is refused field by field, in codes that the browser has the words for', async () => {
    const answer = await submit(system, call, { name: '', telephone: 'call me', when: 'noon' })
    expect([answer.statusCode, answer.json()]).toEqual([
      422,
      { faults: { name: { code: 'missing' }, telephone: { code: 'no-telephone' }, when: { code: 'not-offered' } } },
    ])
  })
  it('by a page that still has an older release is read as that one asked', async () => {
    const { draft } = (await ada.get(`/api/widgets/${letters.widgetId}`)).body as {
      draft: { settings: { fields: { steps: { fields: object[] }[] } }; version: number }
    }
    const fields = {
      steps: [{ title: '', fields: [{ is: 'short', name: 'street', label: 'Street', required: true }] }],
    }
    const saved = (
      await ada.put(`/api/widgets/${letters.widgetId}/draft`, {
        settings: { ...draft.settings, fields },
        version: draft.version,
      })
    ).body as { version: number }
    await ada.post(`/api/widgets/${letters.widgetId}/releases`, { version: saved.version })
    const old = await submit(system, letters, { email: 'a@b.example', consent: 'yes' }, { release: 1 })
    const fresh = await submit(system, letters, { street: 'Quay 1' }, { release: 2 })
    expect([old.statusCode, fresh.statusCode]).toEqual([200, 200])
    const rows = (await list(`widgetId=${letters.widgetId}`)).rows
    expect(rows.map(({ says }) => says.map(({ label }) => label))).toEqual([
      ['Street'],
      ['E-mail address'], // what was merely ticked stands in the lead alone
    ])
  })
  it('with a consent keeps its exact words, release and time', async () => {
    await submit(system, letters, { email: 'agrees@b.example', consent: 'yes' })
    const [row] = (await list(`q=agrees@b.example`)).rows
    const { consents, at } = (await ada.get(`/api/leads/${row!.id}`)).body as LeadWhole
    expect(consents).toEqual([
      {
        field: 'consent',
        words: 'You may write to me once a month. I can take this back in every letter.',
        help: '',
        link: '',
        release: 1,
        at,
      },
    ])
  })
  it('to what is retired, is no form, or never was, is told so', async () => {
    const answers = await Promise.all(
      ['nobody-knows-this', "x'; drop table leads--"].map((id) =>
        system.app.inject({ method: 'POST', url: `/w1/${encodeURIComponent(id)}`, payload: 'name=x' }),
      ),
    )
    expect(answers.map(({ statusCode }) => statusCode)).toEqual([410, 410])
  })
  it('at any length is not read', async () => {
    const answer = await submit(system, call, { ...wish, about: 'x'.repeat(1_200_000), _key: 'far-too-long' })
    expect([answer.statusCode, await Lead.count({ where: { key: 'far-too-long' } })]).toEqual([400, 0])
  })
  it('as JSON, by a site’s own code, is asked about beforehand as any other site is: no credentials, for a day', async () => {
    const asked = await system.app.inject({
      method: 'OPTIONS',
      url: `/w1/${call.install.publicId}`,
      headers: { origin: 'https://kiln.example', 'access-control-request-method': 'POST' },
    })
    expect([
      asked.statusCode,
      asked.headers['access-control-allow-headers'],
      asked.headers['access-control-max-age'],
    ]).toEqual([204, 'content-type', '86400'])
    expect(asked.headers['access-control-allow-credentials']).toBeUndefined()
    const answer = await system.app.inject({
      method: 'POST',
      url: `/w1/${call.install.publicId}`,
      headers: { 'content-type': 'application/json' },
      payload: { ...wish, name: 'By JSON', _key: 'a-key-by-json' },
    })
    expect(answer.statusCode).toBe(200)
    expect((await list('q=By+JSON')).rows).toHaveLength(1)
  })
})

describe('without a script', () => {
  it('comes back as a page, with what is wrong at its field and what was typed', async () => {
    const answer = await submit(
      system,
      call,
      { name: 'Bo <b>', telephone: 'x', when: 'evening' },
      { accept: 'text/html' },
    )
    expect(answer.statusCode).toBe(422)
    expect(answer.headers['content-security-policy']).toContain("form-action 'self'")
    expect(answer.body).toContain('value="Bo &lt;b&gt;"')
    expect(answer.body).toContain('This needs a telephone number with its area code.')
    expect(answer.body).toContain('value="evening" required checked')
    expect(answer.body).toContain(`action="https://strand.example/w1/${call.install.publicId}?r=1"`)
  })
  it('is thanked as a page, and the same pressed twice is one lead', async () => {
    const fields = { name: 'No script', telephone: '0163 2960', when: 'evening', _key: '', _took: '' }
    const answers = [
      await submit(system, call, fields, { accept: 'text/html', ip: '198.51.100.77' }),
      await submit(system, call, fields, { accept: 'text/html', ip: '198.51.100.77' }),
    ]
    for (const { statusCode, body } of answers) {
      expect(statusCode).toBe(200)
      expect(body).toContain('We call you within one working day.')
      expect(body).not.toContain('<form')
    }
    expect((await list('q=No+script')).rows).toHaveLength(1)
  })
})

describe('a poll', () => {
  it('is answered with what all answered, from counts that carry no person', async () => {
    for (const choice of ['friday', 'friday', 'saturday']) await submit(system, poll, { choice })
    const { results } = (await submit(system, poll, { choice: 'thursday' })).json<{ results: string }>()
    expect(results).toContain('<meter part="bars" min="0" max="1" value="0.5000">50%</meter>')
    expect(results).toContain('4 answers')
    const [counts] = await system.context.db.query(
      'SELECT * FROM poll_counts WHERE widget_id = $widgetId ORDER BY value',
      { bind: { widgetId: poll.widgetId } },
    )
    expect(counts).toEqual(
      ['friday', 'saturday', 'thursday'].map((value) => ({
        widget_id: poll.widgetId,
        field: 'choice',
        value,
        count: value === 'friday' ? 2 : 1,
      })),
    )
  })
})

describe('robots', () => {
  it('that fill in what nobody sees, or fill in faster than anybody reads, are held back and let through by hand', async () => {
    await submit(system, call, { ...wish, name: 'Trapped', _website: 'https://pills.example' })
    await submit(system, poll, { choice: 'friday', _took: '400' })
    expect((await list('q=Trapped')).rows).toEqual([])
    expect((await held()).map(({ heldFor }) => heldFor).sort()).toEqual(['fast', 'trap'])
    const info = (await ada.get(`/api/widgets/${poll.widgetId}/form`)).body as FormInfo
    expect(info.counts.held).toBe(1)
    const before = (await submit(system, poll, { choice: 'friday' })).json<{ results: string }>().results
    expect(before).toContain('1 answer')
    for (const { id } of await held()) await ada.patch(`/api/leads/${id}`, { state: 'new' })
    expect(await held()).toEqual([])
    expect((await list('q=Trapped')).rows).toHaveLength(1)
    expect((await submit(system, poll, { choice: 'friday' })).json<{ results: string }>().results).toContain(
      '3 answers',
    )
  })
  it('from one address within minutes are held back from the sixth on', async () => {
    for (let n = 0; n < 8; n++) await submit(system, call, { ...wish, name: `Many ${n}` }, { ip: '203.0.113.50' })
    expect((await list('q=Many')).total).toBe(5)
    expect((await held()).map(({ heldFor }) => heldFor)).toEqual(['often', 'often', 'often'])
  })
  it('in a flood have to work first; who works is let in, and one work is for one submission', async () => {
    const flooded = await standingForm(ada, scene, { starter: 'poll', region: 'header' })
    const send = (n: number, more = {}) =>
      submit(system, flooded, { choice: 'friday', ...more }, { ip: `192.0.2.${(n % 250) + 1}` })
    const first = await Promise.all(Array.from({ length: 20 }, (_, n) => send(n)))
    expect(first.every(({ statusCode }) => statusCode === 200)).toBe(true)
    const asked = await send(21, { _key: 'worked-for-this' })
    expect(asked.statusCode).toBe(428)
    const { challenge, bits } = asked.json<{ challenge: string; bits: number }>()
    const proof = `${challenge}.${solve(challenge, bits, 0, 10_000_000)}`
    expect((await send(22, { _key: 'worked-for-this', _proof: proof })).statusCode).toBe(200)
    expect((await send(23, { _key: 'another-key-now', _proof: proof })).statusCode).toBe(428)
    expect((await send(24, { _key: 'worked-for-this', _proof: `${challenge}.1` })).statusCode).toBe(428)
    const byHand = await submit(system, flooded, { choice: 'friday' }, { accept: 'text/html', ip: '192.0.2.99' })
    expect(byHand.statusCode).toBe(200)
    expect((await held()).some(({ heldFor }) => heldFor === 'attack')).toBe(true)
  })
})

describe('the list', () => {
  it('is narrowed by form, site, page, day and words, and marked', async () => {
    await submit(system, call, wish)
    await submit(system, poll, { choice: 'friday' })
    const all = await list()
    expect(all.total).toBe(2)
    expect((await list(`widgetId=${poll.widgetId}`)).total).toBeLessThan(all.total)
    expect((await list('path=/nowhere')).total).toBe(0)
    expect((await list('path=/orchard')).total).toBe(all.total)
    const day = new Date().toISOString().slice(0, 10)
    expect((await list(`from=${day}&until=${day}`)).total).toBe(all.total)
    expect((await list('until=2020-01-01')).total).toBe(0)
    const [row] = (await list('q=isla+fearn')).rows
    await ada.patch(`/api/leads/${row!.id}`, { state: 'spam' })
    expect((await list('q=isla+fearn')).total).toBe(0)
    expect((await list('q=isla+fearn&state=spam')).total).toBe(1)
  })
  it('leaves as CSV that another parser reads, formulas made harmless, and as JSON', async () => {
    await submit(system, call, { ...wish, name: '=HYPERLINK("x")', about: 'Says "hello", and\nmore' })
    const csv = await ada.get(`/api/leads-file?form=csv&widgetId=${call.widgetId}`)
    expect(csv.headers['content-disposition']).toBe('attachment; filename="answers.csv"')
    const rows = parse(csv.body as string, { columns: true }) as Record<string, string>[]
    expect(rows[0]).toMatchObject({
      form: expect.any(String) as string,
      site: 'brackenfold',
      'answer:name': `'=HYPERLINK("x")`,
      'answer:about': 'Says "hello", and\nmore',
      'answer:when': 'morning',
    })
    const json = (await ada.get(`/api/leads-file?form=json&widgetId=${call.widgetId}`)).body as {
      leads: { answers: { name: string } }[]
    }
    expect(json.leads).toHaveLength(rows.length)
    expect(json.leads[0]!.answers.name).toBe('=HYPERLINK("x")')
  })
})

describe('removed with its widget and brought back', () => {
  it('every lead is there again, as it was, and what was decided too', async () => {
    const call = await standingForm(ada, scene, { starter: 'call-back', region: 'header' })
    await system.work()
    for (let n = 0; n < 6; n++) await submit(system, call, { ...wish, name: `Kept ${n}` })
    const before = await Lead.findAll({ where: { widgetId: call.widgetId }, order: ['id'], raw: true })
    const decided = (await ada.get(`/api/widgets/${call.widgetId}/form`)).body as FormInfo
    expect(before).toHaveLength(6)
    const { id } = (await ada.post('/api/removals', { what: 'widget', id: call.widgetId, standing: 0 })).body as {
      id: string
    }
    expect(await Lead.count({ where: { widgetId: call.widgetId } })).toBe(0)
    await ada.delete(`/api/removals/${id}`)
    expect(await Lead.findAll({ where: { widgetId: call.widgetId }, order: ['id'], raw: true })).toEqual(before)
    expect((await ada.get(`/api/widgets/${call.widgetId}/form`)).body).toEqual(decided)
  })
})
