import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Activity } from '../activity/models'
import { cookiesOf, Person, startTestSystem, type TestSystem } from '../testing/system'
import { hardToGuess } from './easily-guessed'
import { Device, Session, User } from './models'

let system: TestSystem
beforeAll(async () => {
  // One proxy stands in front.
  system = await startTestSystem({ PEBBLESTRAND_TRUST_PROXY: '1' })
})
afterAll(() => system.stop())

let count = 0
const newcomer = () => new Person(system.app, `person${++count}@agency.example`).join('member')
const tryAt = async (email: string, password: string, headers: Record<string, string> = {}) =>
  system.app.inject({ method: 'POST', url: '/api/session', payload: { email, password }, headers })
const statuses = async (tries: number, one: (at: number) => Promise<{ statusCode: number }>) => {
  const seen: number[] = []
  for (let at = 0; at < tries; at++) seen.push((await one(at)).statusCode)
  return seen
}

describe('guessing at one account', () => {
  it('is limited by the address the proxy says, whatever is written before it', async () => {
    const { email } = await newcomer()
    const forged = (at: number) => tryAt(email, 'wrong', { 'x-forwarded-for': `198.51.100.${at}, 192.0.2.7` })
    expect(await statuses(12, forged)).toEqual([...Array(10).fill(401), 429, 429])
  })

  it('is limited over all addresses; a browser that was there before still gets in, and can be locked by itself', async () => {
    const owner = await newcomer()
    const first = await tryAt(owner.email, owner.password)
    const device = cookiesOf(first.headers['set-cookie'])
    const from = (at: number) => ({ 'x-forwarded-for': `192.0.2.${at}` })
    const spread = await statuses(42, (at) => tryAt(owner.email, 'wrong', from(at)))
    expect(spread).toEqual([...Array(40).fill(401), 429, 429])
    // A stranger with the right password waits as well: it is the hundredth guess that may be right.
    expect((await tryAt(owner.email, owner.password, from(99))).statusCode).toBe(429)
    expect((await tryAt(owner.email, owner.password, { cookie: device, ...from(99) })).statusCode).toBe(200)
    const own = await statuses(12, () => tryAt(owner.email, 'wrong', { cookie: device }))
    expect(own).toEqual([...Array(10).fill(401), 429, 429])
  }, 60_000)

  it('is no easier with a browser known to another account', async () => {
    const [ada, bo] = [await newcomer(), await newcomer()]
    const known = cookiesOf((await tryAt(ada.email, ada.password)).headers['set-cookie'])
    const guesses = await statuses(12, () =>
      tryAt(bo.email, 'wrong', { cookie: known, 'x-forwarded-for': '192.0.2.200' }),
    )
    expect(guesses.at(-1)).toBe(429)
  })

  it('is noted: what failed, the lock, and what succeeded', async () => {
    const person = await newcomer()
    await statuses(12, () =>
      tryAt(person.email, 'wrong', { 'x-forwarded-for': '192.0.2.201', 'user-agent': 'Guesser/1' }),
    )
    const { rows } = (await person.get('/api/account/sign-ins')).body as {
      rows: { event: string; address: string; browser: string }[]
    }
    expect(rows.map((row) => row.event)).toEqual(['locked-out', ...Array(10).fill('sign-in-failed'), 'signed-in'])
    expect(rows[1]).toMatchObject({ address: '192.0.2.201', browser: 'Guesser/1' })
    const other = await newcomer()
    expect(((await other.get('/api/account/sign-ins')).body as { total: number }).total).toBe(1)
  })
})

describe('a session', () => {
  it('takes the place of the browser’s old one', async () => {
    const person = await newcomer()
    const first = await tryAt(person.email, person.password)
    const cookie = cookiesOf(first.headers['set-cookie'])
    await tryAt(person.email, person.password, { cookie })
    const old = await system.app.inject({ url: '/api/today', headers: { cookie } })
    expect(old.statusCode).toBe(401)
  })
  it('ends in any case, however much it is used', async () => {
    const person = await newcomer()
    const { id: userId } = (await User.withEmail(person.email))!
    const session = (await Session.findOne({ where: { userId } }))!
    expect(session.endsAt.getTime() - Date.now()).toBeCloseTo(30 * 86_400_000, -5)
    await session.update({ endsAt: new Date(Date.now() - 1000) })
    expect((await person.get('/api/today')).status).toBe(401)
  })
  it('is listed, and ended from elsewhere: one, or all but the one at hand', async () => {
    const person = await newcomer()
    for (let at = 0; at < 3; at++) await tryAt(person.email, person.password, { 'user-agent': `Browser/${at}` })
    const list = async () =>
      (await person.get('/api/account/sessions')).body as { rows: { id: string; own: boolean; browser: string }[] }
    const { rows } = await list()
    expect(rows.filter((row) => row.own)).toHaveLength(1)
    expect(rows.map((row) => row.browser)).toContain('Browser/2')
    const other = rows.find((row) => !row.own)!
    expect((await person.delete(`/api/account/sessions/${other.id}`)).body).toEqual({ ended: 1 })
    expect((await person.delete(`/api/account/sessions/${other.id}`)).status).toBe(404)
    const stranger = await newcomer()
    const left = (await list()).rows.find((row) => !row.own)!
    expect((await stranger.delete(`/api/account/sessions/${left.id}`)).status).toBe(404)
    expect((await person.delete('/api/account/sessions')).body).toEqual({ ended: 2 })
    expect((await list()).rows).toHaveLength(1)
  })
})

describe('a password', () => {
  it.each(['password1234', 'passwordpassword', 'aaaaaaaaaaaaaaa', '123456123456', 'abcdefghijklmnop', 'qwertyuiop12'])(
    '%s is refused as easily guessed',
    async (wanted) => {
      const person = await newcomer()
      const answer = await person.post('/api/account/password', { current: person.password, wanted })
      expect(answer).toMatchObject({ status: 400, body: { error: { issues: [{ field: 'wanted' }] } } })
    },
  )
  it('made of what is known of the person is refused', async () => {
    for (const made of ['Mara.Rask@tern.example', 'MaraRaskMaraRask', 'mararask2026'])
      expect([made, await hardToGuess(made, ['Mara Rask', 'mara.rask@tern.example'])]).toEqual([made, false])
    expect(await hardToGuess('tide tables at dawn', ['Mara Rask'])).toBe(true)
  })
  it('is changed with the one that is; every other session ends', async () => {
    const person = await newcomer()
    const other = cookiesOf((await tryAt(person.email, person.password)).headers['set-cookie'])
    const wanted = 'nine voices in a net loft'
    const wrong = await person.post('/api/account/password', { current: 'not it', wanted })
    expect(wrong).toMatchObject({ status: 400, body: { error: { issues: [{ field: 'current' }] } } })
    expect(await person.post('/api/account/password', { current: person.password, wanted })).toMatchObject({
      status: 200,
      body: { ended: 1 },
    })
    expect((await person.get('/api/today')).status).toBe(200)
    expect((await system.app.inject({ url: '/api/today', headers: { cookie: other } })).statusCode).toBe(401)
    expect((await tryAt(person.email, person.password)).statusCode).toBe(401)
    expect((await tryAt(person.email, wanted)).statusCode).toBe(200)
    expect(await Activity.count({ where: { verb: 'password-changed' } })).toBe(1)
  })
  it('cannot be guessed at from a session that was left open', async () => {
    const person = await newcomer()
    const guess = () => person.post('/api/account/password', { current: 'wrong', wanted: 'nine voices in a net loft' })
    const seen = await statuses(11, async () => ({ statusCode: (await guess()).status }))
    expect(seen).toEqual([...Array(10).fill(400), 429])
  })
})

it('so many browsers are remembered for an account, the latest', async () => {
  const person = await newcomer()
  for (let at = 0; at < 22; at++) await tryAt(person.email, person.password)
  expect(await Device.count({ where: { userId: (await User.withEmail(person.email))!.id } })).toBeLessThanOrEqual(21)
})
