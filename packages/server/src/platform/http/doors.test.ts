import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Person, startTestSystem, type TestSystem } from '../../testing/system'

let system: TestSystem
beforeAll(async () => {
  system = await startTestSystem()
})
afterAll(() => system.stop())

/** Every route under /api as "METHOD /path", from the server's own table. */
function apiRoutes(): [string, string][] {
  const seen: [string, string][] = []
  const stack: string[] = []
  for (const line of system.app.printRoutes({ commonPrefix: false }).split('\n')) {
    const match = /^((?:[│ ]{4})*)[├└]── (\S+)(?: \(([\w, ]+)\))?/.exec(line)
    if (!match) continue
    const depth = match[1]!.length / 4
    stack.length = depth
    stack.push(match[2]!)
    const path = stack.join('')
    if (path.startsWith('/api/'))
      for (const method of (match[3] ?? '').split(', ').filter((m) => m && m !== 'HEAD')) seen.push([method, path])
  }
  return seen
}
const open = new Set([
  'GET /api/session',
  'POST /api/session',
  'DELETE /api/session',
  'GET /api/setup',
  'POST /api/setup',
  'GET /api/health',
])
const concrete = (path: string) =>
  path.replace(/:id/g, '11111111-1111-4111-8111-111111111111').replace(/:which/g, 'served')

describe('no one gets in where they don’t belong', () => {
  it('every route of the application is closed to those who are not signed in', async () => {
    const closed = apiRoutes().filter(([method, path]) => !open.has(`${method} ${path}`))
    expect(closed.length).toBeGreaterThan(30)
    for (const [method, path] of closed) {
      const answer = await system.app.inject({
        method: method as 'GET',
        url: concrete(path),
        ...(method === 'GET' ? {} : { payload: {} }),
      })
      expect([`${method} ${path}`, answer.statusCode, answer.json().error?.code]).toEqual([
        `${method} ${path}`,
        401,
        'not-signed-in',
      ])
    }
  })

  it('every change needs the token', async () => {
    const person = await new Person(system.app).join()
    for (const [method, path] of apiRoutes().filter(([m, p]) => m !== 'GET' && !open.has(`${m} ${p}`))) {
      const answer = await person.call(method as 'POST', concrete(path), {}, { 'x-csrf-token': 'forged' })
      expect([`${method} ${path}`, answer.status]).toEqual([`${method} ${path}`, 403])
    }
  })

  it('ids that are none are named, not crashed on', async () => {
    const person = await new Person(system.app).signIn()
    for (const [method, path] of apiRoutes().filter(([, p]) => p.includes(':id'))) {
      const answer = await person.call(
        method as 'GET',
        path.replace(/:id/g, "x'--").replace(/:which/g, 'served'),
        method === 'GET' ? undefined : {},
      )
      expect([`${method} ${path}`, answer.status, (answer.body as { error: { code: string } }).error.code]).toEqual([
        `${method} ${path}`,
        400,
        'invalid',
      ])
    }
  })

  it('characters no database text holds are named, not crashed on', async () => {
    const person = await new Person(system.app).signIn()
    const odd = async (body: unknown) =>
      ((await person.post('/api/widgets', body)).body as { error: { code: string; issues: { field: string }[] } }).error
    expect(await odd({ kind: 'headlines', name: 'a\0b' })).toMatchObject({
      code: 'invalid',
      issues: [{ field: 'name' }],
    })
    expect(await odd({ kind: 'headlines', name: '\ud83d' })).toMatchObject({ issues: [{ field: 'name' }] })
    expect((await person.get('/api/find?q=a%00b')).status).toBe(400)
  })

  it('sends headers that keep other sites from framing the application', async () => {
    const { headers } = await system.app.inject('/sign-in')
    expect(headers['content-security-policy']).toContain("frame-ancestors 'none'")
    expect(headers['content-security-policy']).toContain("script-src 'self'")
    expect(headers['x-content-type-options']).toBe('nosniff')
    expect(headers['strict-transport-security']).toBeDefined()
  })

  it('answers errors as data: what is unknown, what is no JSON, what is too large', async () => {
    const person = await new Person(system.app).signIn()
    expect((await person.get('/api/nothing')).body).toMatchObject({
      error: { code: 'not-found', remedy: expect.any(String) },
    })
    const broken = await person.call('POST', '/api/sites', '{"client":', { 'content-type': 'application/json' })
    expect(broken).toMatchObject({ status: 400, body: { error: { code: 'invalid' } } })
    const large = await person.post('/api/sites', { client: 'x'.repeat(1_100_000) })
    expect(large.status).toBe(400)
  })
})
