import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { story } from '../testing/story'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { Session, User } from './models'
import { checkPassword, hashPassword } from './password'
import { setupKey } from './setup'

let system: TestSystem
beforeAll(async () => {
  system = await startTestSystem()
})
afterAll(() => system.stop())

const post = (url: string, payload: object, headers: Record<string, string> = {}) =>
  system.app.inject({ method: 'POST', url, payload, headers })

describe('passwords', () => {
  it('are kept as salted scrypt and told apart', async () => {
    const [a, b] = [await hashPassword('low tide'), await hashPassword('low tide')]
    expect(a).toMatch(/^scrypt\$131072\$8\$1\$[\w-]{22}\$[\w-]{43}$/)
    expect(a).not.toBe(b)
    expect(await checkPassword('low tide', a)).toBe(true)
    expect(await checkPassword('low tidE', a)).toBe(false)
  })
})

story('the first owner', (step) => {
  const owner = { agency: 'Tern & Tiller', name: 'Ada', email: 'ada@agency.example', password: 'tide tables at dawn' }

  step('is asked for while there is none', async () => {
    await User.destroy({ where: {} })
    expect((await system.app.inject('/api/session')).json()).toMatchObject({ user: null, setup: true })
    expect((await system.app.inject('/api/setup')).json()).toEqual({ open: true })
  })
  step('needs the printed key', async () => {
    const answer = await post('/api/setup', { ...owner, key: 'guess' })
    expect(answer.statusCode).toBe(403)
    expect(answer.json().error).toMatchObject({ code: 'setup-key-wrong', issues: [{ field: 'key' }] })
    expect(await User.count()).toBe(0)
  })
  step('is told each field that is wrong', async () => {
    const answer = await post('/api/setup', { ...owner, key: 'x', email: 'nope', password: 'short' })
    expect(answer.json().error.issues).toEqual([
      { field: 'email', message: 'must be an e-mail address' },
      { field: 'password', message: 'must have 12 characters or more' },
    ])
  })
  step('is made once, even when two try at the same moment', async () => {
    const key = (await setupKey())!
    const answers = await Promise.all(
      ['one@agency.example', 'two@agency.example'].map((email) => post('/api/setup', { ...owner, email, key })),
    )
    expect(answers.map((a) => a.statusCode).sort()).toEqual([200, 409])
    expect(await User.count()).toBe(1)
    expect(await setupKey()).toBeNull()
    expect((await post('/api/setup', { ...owner, key })).json().error.code).toBe('setup-done')
    await User.destroy({ where: {} })
  })
})

/** One person, who is nobody's guest. */
const withAnOwner = () =>
  beforeEach(async () => {
    await User.destroy({ where: {} })
    await new Person(system.app).join()
  })

describe('signing in', () => {
  withAnOwner()
  it('gives a session that the browser keeps from scripts', async () => {
    const person = new Person(system.app)
    const answer = await post('/api/session', { email: 'ADA@agency.example', password: person.password })
    expect(answer.statusCode).toBe(200)
    for (const cookie of answer.headers['set-cookie'] as string[])
      expect(cookie).toMatch(
        /^__Host-pebblestrand_\w+=[\w-]{43}; Max-Age=\d+; Path=\/; HttpOnly; Secure; SameSite=Lax$/,
      )
    expect(answer.headers['cache-control']).toBe('no-store')
    expect(answer.body).not.toContain('scrypt')
    const token = /pebblestrand_session=([^;]+)/.exec(String(answer.headers['set-cookie']))![1]!
    expect(await Session.count({ where: { tokenHash: token } })).toBe(0) // only its hash is kept
  })
  it('says the same for a wrong password and for nobody', async () => {
    const wrong = await post('/api/session', { email: 'ada@agency.example', password: 'wrong' })
    const nobody = await post('/api/session', { email: 'nobody@agency.example', password: 'wrong' })
    expect([wrong.statusCode, nobody.statusCode]).toEqual([401, 401])
    expect(wrong.body).toBe(nobody.body)
  })
  it('ends with signing out, on the server too', async () => {
    const person = await new Person(system.app).signIn()
    expect((await person.get('/api/today')).status).toBe(200)
    expect((await person.delete('/api/session')).status).toBe(200)
    expect((await person.get('/api/today')).status).toBe(401)
  })
  it('does not outlive its time', async () => {
    const person = await new Person(system.app).signIn()
    await Session.update({ expiresAt: new Date(Date.now() - 1000) }, { where: {} })
    expect((await person.get('/api/today')).status).toBe(401)
  })
  it('is limited in tries, for one account from one address', async () => {
    const tries = []
    for (let i = 0; i < 12; i++)
      tries.push((await post('/api/session', { email: 'guess@agency.example', password: `p${i}` })).statusCode)
    expect(tries.slice(0, 10)).toEqual(Array(10).fill(401))
    expect(tries.slice(10)).toEqual([429, 429])
    expect((await post('/api/session', { email: 'ada@agency.example', password: 'a long password' })).statusCode).toBe(
      200,
    )
  })
})

describe('a change must carry the session’s token', () => {
  withAnOwner()
  it('refuses one without, and one with another’s', async () => {
    const [ada, bo] = [
      await new Person(system.app).signIn(),
      await new Person(system.app, 'bo@agency.example').join('member'),
    ]
    const site = { client: 'x', name: 'x', origin: 'https://x.example', platform: 'hand-coded' }
    expect((await ada.call('POST', '/api/sites', site, { 'x-csrf-token': '' })).body).toMatchObject({
      error: { code: 'csrf-missing' },
    })
    expect(
      (await ada.call('POST', '/api/sites', site, { 'x-csrf-token': (bo as unknown as { csrf: string }).csrf })).status,
    ).toBe(403)
    expect((await ada.call('DELETE', '/api/session', undefined, { 'x-csrf-token': 'x' })).status).toBe(403)
  })
})
