import { callers, roles, routes, type May, type Route } from '@pebblestrand/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Person, startTestSystem, type TestSystem } from './testing/system'

let system: TestSystem
let people: Record<string, Person>
beforeAll(async () => {
  system = await startTestSystem()
  people = {}
  for (const role of roles) people[role] = await new Person(system.app, `${role}@agency.example`).join(role)
})
afterAll(() => system.stop())

const all: Route[] = Object.values(routes).flatMap((subject) => Object.values(subject) as Route[])
const named = all.map((route) => [`${route.method} ${route.path}`, route] as const)

/** Addresses that are not of the contract: what client sites fetch, the screens, health and the description itself. */
const beside = ['/api/health', '/api/openapi.json']

/** Every route under /api as "METHOD /path", from the server's own table. */
function registered(): string[] {
  const seen: string[] = []
  const stack: string[] = []
  for (const line of system.app.printRoutes({ commonPrefix: false }).split('\n')) {
    const match = /^((?:[│ ]{4})*)[├└]── (\S+)(?: \(([\w, ]+)\))?/.exec(line)
    if (!match) continue
    const depth = match[1]!.length / 4
    stack.length = depth
    stack.push(match[2]!)
    const path = stack.join('')
    if (path.startsWith('/api/') && !beside.includes(path))
      for (const method of (match[3] ?? '').split(', ').filter((m) => m && m !== 'HEAD')) seen.push(`${method} ${path}`)
  }
  return seen
}

const NOBODY = '11111111-1111-4111-8111-111111111111'
const concrete = (path: string, id = NOBODY) => path.replace(/:id/g, id).replace(/:how/g, 'served')
const ask = (route: Route, id?: string) => ({
  method: route.method,
  url: concrete(route.path, id),
  ...(route.method === 'GET' ? {} : { payload: {} }),
})

/** Which roles a route lets in, as the contract has it. */
const lets: Record<May, readonly string[]> = { anyone: roles, member: roles, owner: ['owner'] }

describe('no one gets in where they don’t belong', () => {
  it('the server answers the contract’s routes under /api and no others', () =>
    expect(registered().sort()).toEqual(
      named
        .map(([name]) => name)
        .filter((name) => name.includes(' /api/'))
        .sort(),
    ))

  it('every route says who may call it', () => {
    for (const route of all) expect(callers).toContain(route.may)
  })

  it.each(named.filter(([, route]) => route.may !== 'anyone'))(
    '%s is closed without a session',
    async (_name, route) => {
      const answer = await system.app.inject(ask(route))
      expect([answer.statusCode, answer.json().error?.code]).toEqual([401, 'not-signed-in'])
    },
  )

  it.each(named.filter(([, r]) => r.may !== 'anyone' && r.method !== 'GET'))(
    '%s needs the token',
    async (_name, route) => {
      const answer = await people.owner!.call(route.method, concrete(route.path), {}, { 'x-csrf-token': 'forged' })
      expect(answer.status).toBe(403)
    },
  )

  // Every route with every role: let in (whatever comes of it then), or told that the account may not.
  it.each(roles.flatMap((role) => named.map(([name, route]) => [role, name, route] as const)))(
    '%s at %s',
    async (role, _name, route) => {
      if (route.path === '/api/session' && route.method === 'DELETE') return // would sign out
      const answer = await people[role]!.call(
        route.method,
        concrete(route.path),
        route.method === 'GET' ? undefined : {},
      )
      const code = (answer.body as { error?: { code: string } })?.error?.code
      if (lets[route.may].includes(role)) {
        expect([401, 500]).not.toContain(answer.status)
        expect(code).not.toBe('not-allowed')
      } else expect([answer.status, code]).toEqual([403, 'not-allowed'])
    },
  )

  it.each(named.filter(([, route]) => route.path.includes(':id')))(
    '%s names an id that is none',
    async (_name, route) => {
      const answer = await people.member!.call(
        route.method,
        concrete(route.path, "x'--"),
        route.method === 'GET' ? undefined : {},
      )
      expect([answer.status, (answer.body as { error: { code: string } }).error.code]).toEqual([400, 'invalid'])
    },
  )
})

describe('what comes in is read with care', () => {
  it('characters no database text holds are named, not crashed on', async () => {
    const person = people.member!
    const odd = async (body: unknown) =>
      ((await person.post('/api/widgets', body)).body as { error: { code: string; issues: { field: string }[] } }).error
    expect(await odd({ kind: 'headlines', name: 'a\0b' })).toMatchObject({
      code: 'invalid',
      issues: [{ field: 'name' }],
    })
    expect(await odd({ kind: 'headlines', name: '\ud83d' })).toMatchObject({ issues: [{ field: 'name' }] })
    expect((await person.get('/api/find?q=a%00b')).status).toBe(400)
  })

  it.each(['/api/session', '/api/setup'])('%s takes little from strangers, and is quick about it', async (url) => {
    const payload = `{"email":${'['.repeat(500_000)}${']'.repeat(500_000)}}`
    const headers = { 'content-type': 'application/json' }
    const large = await system.app.inject({ method: 'POST', url, headers, payload })
    expect([large.statusCode, large.json().error.code]).toEqual([400, 'invalid'])
    const deep = await system.app.inject({
      method: 'POST',
      url,
      headers,
      payload: `{"a":${'['.repeat(1900)}${']'.repeat(1900)}}`,
    })
    expect(deep.statusCode).toBe(400)
  })

  it('errors are data: what is unknown, what is no JSON, what is too large', async () => {
    const person = people.member!
    expect((await person.get('/api/nothing')).body).toMatchObject({
      error: { code: 'not-found', remedy: expect.any(String) },
    })
    const broken = await person.call('POST', '/api/sites', '{"client":', { 'content-type': 'application/json' })
    expect(broken).toMatchObject({ status: 400, body: { error: { code: 'invalid' } } })
    const large = await person.post('/api/sites', { client: 'x'.repeat(1_100_000) })
    expect(large.status).toBe(400)
  })
})

it('headers keep other sites from framing the application', async () => {
  const { headers } = await system.app.inject('/sign-in')
  expect(headers['content-security-policy']).toContain("frame-ancestors 'none'")
  expect(headers['content-security-policy']).toContain("script-src 'self'")
  expect(headers['x-content-type-options']).toBe('nosniff')
  expect(headers['strict-transport-security']).toBeDefined()
})

describe('the description', () => {
  it('is generated from the contract: every route, with who it is for in a line', async () => {
    const document = (await system.app.inject('/api/openapi.json')).json<{
      openapi: string
      paths: Record<string, Record<string, { summary: string; responses: Record<string, unknown> }>>
    }>()
    expect(document.openapi).toMatch(/^3\.1/)
    for (const [, route] of named) {
      const path = route.path.replace(/:(\w+)/g, '{$1}')
      expect(document.paths[path]?.[route.method.toLowerCase()]?.summary).toBe(route.summary)
    }
    // Screens and files are no part of it.
    const operations = Object.values(document.paths).flatMap((path) => Object.values(path))
    expect(operations).toHaveLength(named.length + 1)
    for (const { summary } of operations) expect(summary).toMatch(/\w/)
  })
  it('writes a moment as a date-time', async () => {
    const text = (await system.app.inject('/api/openapi.json')).body
    expect(text).toContain('"date-time"')
  })
})
