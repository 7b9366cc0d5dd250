import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { standingForm, submit, type StandingForm } from '../testing/forms'
import { setScene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { Lead } from './models'
import { forgetInstanceSecret } from '../accounts/instance-secret'

// What anybody can send to a form's address, without an account and without the form.

let system: TestSystem
let call: StandingForm
let several: StandingForm
const settings = {
  fields: {
    steps: [
      {
        title: '',
        fields: [
          {
            is: 'several-of',
            name: 'days',
            label: 'Days',
            help: '',
            required: false,
            width: 'whole',
            when: null,
            least: 0,
            most: 0,
            options: [
              { value: 'a', words: 'A' },
              { value: 'b', words: 'B' },
            ],
          },
        ],
      },
    ],
  },
}
beforeAll(async () => {
  forgetInstanceSecret()
  system = await startTestSystem()
  const ada = await new Person(system.app).join()
  const scene = await setScene(system, ada)
  call = await standingForm(ada, scene, { starter: 'call-back' })
  several = await standingForm(ada, scene, { starter: 'newsletter', region: 'sidebar', settings: settings })
  await system.work()
})
afterAll(() => system.stop())

const send = (body: string, headers: Record<string, string> = {}, form = call) =>
  system.app.inject({
    method: 'POST',
    url: `/w1/${form.install.publicId}?r=1`,
    headers: { 'content-type': 'application/x-www-form-urlencoded', accept: 'application/json', ...headers },
    remoteAddress: '203.0.113.9',
    payload: body,
  })
const json = (body: unknown, form = several) => send(JSON.stringify(body), { 'content-type': 'application/json' }, form)

describe('a body of many entries', () => {
  it.each(['a&', 'a=1&', '&', 'a', '_website=x&'])(
    'of %j 500,000 bytes long is refused before it is read',
    async (part) => {
      const { statusCode } = await send(part.repeat(500_000 / part.length))
      expect([400, 422]).toContain(statusCode)
    },
  )
  it('of one name, as many as a form can have, is read', async () => {
    const { statusCode } = await send('days=a&'.repeat(2000), {}, several)
    expect(statusCode).toBe(422)
  })
})

describe('values that no field gives', () => {
  it.each([
    ['a list in a list', { days: [['a']] }],
    ['an object', { days: { a: 1 } }],
    ['a list of numbers', { days: [1, 2] }],
    ['no object at all', ['a']],
    ['nothing', null],
  ])('%s are refused, with a script and without', async (_what, body) => {
    expect((await json(body)).statusCode).toBe(400)
    const plain = await send(JSON.stringify(body), { 'content-type': 'application/json', accept: 'text/html' }, several)
    expect([plain.statusCode, plain.headers['content-type']]).toEqual([400, 'text/html; charset=utf-8'])
    expect(plain.body).toContain('This could not be sent.')
  })
  it.each([
    ['NUL', '/a\0b'],
    ['half a pair', '/a\ud800'],
    ['a whole address', 'https://elsewhere.example/'],
  ])('%s as the page is left out', async (_what, page) => {
    const { statusCode } = await json({
      days: ['a'],
      _page: page,
      _key: `a-page-${_what.replace(/\W/g, '-')}`,
      _took: '9000',
    })
    expect(statusCode).toBe(200)
    const lead = await Lead.findOne({ where: { key: `a-page-${_what.replace(/\W/g, '-')}` } })
    expect(lead!.pagePath).toBe('/orchard')
  })
  it('NUL and halves of pairs in what is written are kept as what can be kept', async () => {
    const { statusCode } = await json(
      { name: 'Bo\0 \ud800', telephone: '01632 960001', when: 'morning', _key: 'half-a-pair-1', _took: '9000' },
      call,
    )
    expect(statusCode).toBe(200)
  })
})

describe('long answers', () => {
  it.each(['1', '(', '#', 'x', ' ', 'ext'])('a telephone number of 300,000 letters, %j is refused', async (part) => {
    const telephone = part.repeat(300_000 / part.length)
    const answer = await submit(system, call, { name: 'Long', telephone, when: 'morning' }, { ip: '203.0.113.10' })
    expect(answer.statusCode).toBe(422)
  })
})

describe('what is held back', () => {
  it('is kept up to a ceiling, and answered as before beyond it', async () => {
    const count = () => Lead.count({ where: { publicId: several.install.publicId, heldFor: 'trap' } })
    const trapped = (n: number) =>
      submit(system, several, { days: 'a', _website: 'https://pills.example' }, { ip: `198.18.${n % 200}.1` })
    const answers = []
    for (let n = 0; n < 230; n++) answers.push(await trapped(n))
    expect(new Set(answers.map(({ statusCode }) => statusCode))).toEqual(new Set([200]))
    expect(await count()).toBe(200)
  })
})

it('an outage is said in words where there is no script, and claims to have kept nothing', async () => {
  const query = system.context.db.query.bind(system.context.db)
  system.context.db.query = (() =>
    Promise.reject(Object.assign(new Error('gone'), { code: '57P01' }))) as unknown as typeof query
  try {
    const plain = await send('name=Bo', { accept: 'text/html', 'accept-language': 'de-DE' })
    expect([plain.statusCode, plain.headers['content-type']]).toEqual([503, 'text/html; charset=utf-8'])
    expect(plain.body).toContain('lang="de')
    expect(plain.body).not.toMatch(/kept|error|\{/)
    const script = await send('name=Bo')
    expect([script.statusCode, script.json()]).toEqual([503, { error: 'database-away' }])
  } finally {
    system.context.db.query = query
  }
})
