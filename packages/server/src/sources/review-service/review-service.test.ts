import { request } from 'undici'
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import { Person, startTestSystem, type TestSystem } from '../../testing/system'
import { ItemRow, Source, SourceAccount } from '../models'
import { refreshSource } from '../refresh'
import { secondsIn } from '../service/ask'
import { challengeOf } from '../service/connect'

// Against the stand-in of a review service: everything over HTTP, as with a real one.

let system: TestSystem
let ada: Person
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
})
afterAll(() => system.stop())

const at = (path: string) => system.standins('harbour-voices', path)
/** Posts to the stand-in; where it leads to is not followed. */
const post = async (path: string, body: string | URLSearchParams, type = 'application/x-www-form-urlencoded') => {
  const { host, port } = new URL(at(path))
  const answer = await request(`http://127.0.0.1:${port}${path}`, {
    method: 'POST',
    headers: { host, 'content-type': type },
    body: body.toString(),
  })
  await answer.body.dump()
  expect(answer.statusCode).toBeLessThan(400)
  return String(answer.headers.location)
}
const trouble = (body: object) => post('/standins/voices', JSON.stringify(body), 'application/json')
afterEach(() => trouble({ outage: false, quota: { requests: 500, seconds: 10 } }))

const KILN = 'hv3c9n5r1yz8dw'
const RAILWAY = 'hv8r5k1v3nb6wz'
const SEL = 'hv1t5p7d4gk0bn'
const CAFE = 'hv2d8m3f7jt9kv'
const VETS = 'hv9b1x7s5pd3gn'
const MUSEUM = 'hv5w4h0z6cr2qy'

interface Found {
  kind: string
  url: string
  title: string
  address: string
  count: number
  rating: { mean: number; count: number } | null
  newest: { title: string }[]
}
const find = (address: string) => ada.post('/api/sources/find', { address, gives: ['review'] })
const found = async (address: string) => ((await find(address)).body as { found: Found[] }).found
const add = async (id: string) =>
  (
    (await ada.post('/api/sources', { kind: 'review-service', url: at(`/map?place=${id}`) })).body as {
      id: string
    }
  ).id
const say = (slug: string, form: Record<string, string>) => post(`/places/${slug}/say`, new URLSearchParams(form))
const own = (id: string, form: Record<string, string>) => post(`/own/${id}`, new URLSearchParams(form))
const refreshed = async (id: string) => {
  await refreshSource(system.context, id)
  return (await Source.findByPk(id))!
}
const kept = (sourceId: string) => ItemRow.count({ where: { sourceId } })

/** Says yes on the service's consent page, as its owner would, and hands in what comes back. */
async function connect(sourceId: string, account = 'isles-office', what = 'allow') {
  const { address } = (await ada.post(`/api/sources/${sourceId}/connect`, {})).body as { address: string }
  const asked = new URL(address)
  const form = new URLSearchParams({ ...Object.fromEntries(asked.searchParams), account, what })
  const back = new URL(await post('/consent', form))
  expect(`${back.origin}${back.pathname}`).toBe('https://strand.example/sources/connected')
  return Object.fromEntries(back.searchParams) as { state: string; code: string; error?: string }
}

describe('finding a place', () => {
  it.each([
    ['its page', () => at('/places/orrin-kiln')],
    ['a map page', () => at(`/map?at=57.4,-8.2&zoom=15&place=${KILN}`)],
    ['a search result', () => at(`/find?q=kiln#pick=${KILN}`)],
    ['a shortened address', () => at('/s/3c9n5')],
    ['a map embed', () => `<iframe src="${at(`/map/embed?zoom=15&amp;place=${KILN}`)}"></iframe>`],
    ['a bare id', () => KILN],
    ['words', () => 'orrin pottery'],
  ])('by %s', async (_, pasted) => {
    const [place, ...more] = await found(pasted())
    expect(more).toEqual([])
    expect(place).toMatchObject({
      kind: 'review-service',
      url: at(`/map?place=${KILN}`),
      title: 'Orrin Kiln Pottery',
      address: 'Kiln Lane 4, Orrin',
      count: 214,
      rating: { mean: 4.8, count: 214 },
    })
    expect(place!.newest).toHaveLength(3)
    expect(place!.newest[0]!.title).toMatch(/^5 of 5, Greta Sund: I made a bowl/)
  })
  it('of two with the same name tells the harbours', async () =>
    expect((await found('lamp room')).map(({ title, address }) => [title, address])).toEqual([
      ['The Lamp Room', 'Harbour steps 3, Gullhaven'],
      ['The Lamp Room', 'Wick Street 9, Orrin'],
    ]))
  it('without a street address: not by its name, which says what to paste; by page, id and embed', async () => {
    expect(await find('Sel’s Boat Repairs')).toMatchObject({
      status: 422,
      body: {
        error: {
          code: 'no-place',
          remedy: expect.stringContaining('without a street address') as string,
          data: { tried: [{ outcome: 'a search for these words: no place' }] },
        },
      },
    })
    for (const pasted of [at('/places/sels-boat-repairs'), SEL, `<iframe src="${at(`/map/embed?place=${SEL}`)}">`])
      expect((await found(pasted))[0]).toMatchObject({ title: 'Sel’s Boat Repairs', address: 'no street address' })
  })
  it('with no reviews at all', async () =>
    expect((await found(CAFE))[0]).toMatchObject({ title: 'New Jetty Café', count: 0, rating: null, newest: [] }))
  it('says so when the id is nobody’s, and when the service is down', async () => {
    expect(await find('hv000000000000')).toMatchObject({ status: 422, body: { error: { code: 'no-place' } } })
    await trouble({ outage: true })
    expect(await find(KILN)).toMatchObject({
      status: 422,
      body: { error: { code: 'fetch-failed', message: 'The service answers with error 503.' } },
    })
  })
})

describe('reading a place', () => {
  it('as anyone may: the newest, what all come to, and that there are more', async () => {
    const id = await add(KILN)
    expect((await ada.get(`/api/sources/${id}`)).body).toMatchObject({
      title: 'Orrin Kiln Pottery',
      count: 40,
      rating: { mean: 4.8, count: 214 },
      intervalMinutes: 5,
      account: null,
      connects: true,
      notes: [expect.stringContaining('the newest 40 of 214')],
    })
  })

  it('a new review, an answer and a change come with the next reading, and little else is asked for', async () => {
    const id = await add(MUSEUM)
    await say('windle-knot-museum', { author: 'Nell Osk', stars: '4', text: 'The bell rope is original.' })
    expect((await refreshed(id)).problem).toBeNull()
    const row = (await ItemRow.findOne({ where: { sourceId: id, author: 'Nell Osk' } }))!
    expect(row.body).toMatchObject({ rating: 4, text: 'The bell rope is original.' })
    await own(MUSEUM, { what: 'reply', review: row.key, reply: 'It is. We checked.' })
    await refreshed(id)
    await row.reload()
    expect(row.body).toMatchObject({ reply: { text: 'It is. We checked.' } })
    await own(MUSEUM, { what: 'edit', review: row.key, text: 'The bell rope is a copy.' })
    const after = await refreshed(id)
    expect((await row.reload()).body).toMatchObject({ text: 'The bell rope is a copy.' })
    expect(after.state).toMatchObject({ total: 174 })
  })

  it('an owner’s account gives all of them; what is taken back goes, what is asked for is only the first page', async () => {
    const id = await add(VETS)
    expect(await kept(id)).toBe(40)
    const { state, code } = await connect(id)
    expect((await ada.post('/api/sources/connected', { state, code })).body).toMatchObject({
      account: 'Skerrow Isles Office',
      count: 388,
      notes: [],
    })
    // The answer counts once, and for nobody else.
    expect(await ada.post('/api/sources/connected', { state, code })).toMatchObject({ status: 409 })
    const [first] = await ItemRow.findAll({ where: { sourceId: id }, order: [['publishedAt', 'DESC']], limit: 1 })
    await own(VETS, { what: 'delete', review: first!.key })
    expect((await refreshed(id)).facts.rating).toMatchObject({ count: 387 })
    expect(await kept(id)).toBe(387)
    await ada.post(`/api/sources/${id}/disconnect`, {})
    expect((await refreshed(id)).state).toMatchObject({ given: 40, by: null })
  })

  it('4,000 of them, with progress told', async () => {
    const id = await add(RAILWAY)
    const back = await connect(id)
    await ada.post('/api/sources/connected', back)
    expect(await kept(id)).toBe(4000)
    await Source.update({ state: null }, { where: { id } })
    const { body } = await ada.call('POST', `/api/sources/${id}/refresh`, {}, { accept: 'application/x-ndjson' })
    const lines = (body as string)
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { step?: { read: number; of: number } })
    expect(lines.filter(({ step }) => step).map(({ step }) => step!.of)).toEqual(Array(40).fill(4000))
  }, 60_000)

  it('a token that has run out is renewed; leave that is gone is said once and mended by connecting again', async () => {
    const id = await add(SEL)
    await ada.post('/api/sources/connected', await connect(id, 'sel'))
    const account = (await SourceAccount.findOne({ where: { name: 'Sel Brannigan' } }))!
    const before = account.accessToken
    await trouble({ tokens: 'expired' })
    expect((await refreshed(id)).problem).toBeNull()
    expect((await account.reload()).accessToken).not.toBe(before)
    await account.update({ expiresAt: new Date() })
    expect((await refreshed(id)).problem).toBeNull()
    await trouble({ tokens: 'all gone' })
    expect((await refreshed(id)).problem).toMatchObject({ code: 'reconnect' })
    expect(await kept(id)).toBe(58) // the last good copy
    await ada.post('/api/sources/connected', await connect(id, 'sel'))
    expect((await Source.findByPk(id))!.problem).toBeNull()
    expect(await SourceAccount.count({ where: { remoteId: 'sel' } })).toBe(1)
  })

  it('an account that does not own the place', async () => {
    const id = await add(KILN)
    await ada.post('/api/sources/connected', await connect(id, 'sel'))
    expect((await Source.findByPk(id))!.problem).toMatchObject({ code: 'not-its-owner' })
    await ada.post(`/api/sources/${id}/disconnect`, {})
    expect((await refreshed(id)).problem).toBeNull()
  })

  it('a refusal brings nothing; an answer to nobody’s question is not taken', async () => {
    const id = await add(KILN)
    expect(await connect(id, 'sel', 'refuse')).toMatchObject({ error: 'access_denied' })
    const bob = await new Person(system.app, 'bo@agency.example').join('member')
    const { state, code } = await connect(id)
    expect(await bob.post('/api/sources/connected', { state, code })).toMatchObject({
      status: 409,
      body: { error: { code: 'consent-lost' } },
    })
    expect(JSON.stringify((await ada.get('/api/sources')).body)).not.toMatch(/accessToken|refresh_?token/i)
  })

  it('no more often than the service allows: short waits are waited, long ones put it off', async () => {
    const id = await add(CAFE)
    await trouble({ quota: { requests: 1, seconds: 1 } })
    expect((await refreshed(id)).problem).toBeNull()
    await trouble({ quota: { requests: 0, seconds: 60 } })
    const source = await refreshed(id)
    expect(source.problem).toMatchObject({ code: 'asked-too-often' })
    expect(source.nextFetchAt.getTime()).toBeLessThan(Date.now() + 65_000)
  })

  it('down: the last good copy stays, and the fault is in plain words', async () => {
    const id = await add(KILN)
    const before = await kept(id)
    await trouble({ outage: true })
    expect((await refreshed(id)).problem).toMatchObject({ message: 'The service answers with error 503.' })
    expect(await kept(id)).toBe(before)
  })

  it('paused, it is not asked; it goes on at once when it is let', async () => {
    const id = await add(KILN)
    expect((await ada.patch(`/api/sources/${id}`, { paused: true })).body).toMatchObject({ paused: true })
    const later = new Date(Date.now() + 3_600_000)
    await Source.update({ nextFetchAt: later }, { where: { id } })
    await ada.patch(`/api/sources/${id}`, { paused: false })
    expect((await Source.findByPk(id))!.nextFetchAt.getTime()).toBeLessThan(later.getTime() - 1_000_000)
  })
})

it('the challenge of the standard’s example (RFC 7636, appendix B)', () =>
  expect(challengeOf('dBjftJeZ4CVP-mB92K27uhbUJU1p1r_wW1gFWFOEjXk')).toBe(
    'E9Melhoa2OwvFrEMTJguCHaoeK1t8URWbuGJSstw-cM',
  ))

it('seconds to wait (RFC 9110, section 10.2.3)', () => {
  const now = Date.parse('Fri, 31 Dec 1999 23:58:59 GMT')
  expect(secondsIn('120')).toBe(120)
  expect(secondsIn('Fri, 31 Dec 1999 23:59:59 GMT', now)).toBe(60)
  expect(secondsIn(undefined)).toBe(2)
  expect(secondsIn('soon')).toBe(2)
})
