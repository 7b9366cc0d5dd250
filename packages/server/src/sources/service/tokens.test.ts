import { QueryTypes } from 'sequelize'
import { afterAll, beforeAll, beforeEach, expect, it, vi } from 'vitest'
import type { Context } from '../../platform/context'
import { startTestSystem, type TestSystem } from '../../testing/system'
import { SourceAccount } from '../models'
import { withToken } from './tokens'

let system: TestSystem
let account: SourceAccount
/** Requests to the service that are not answered yet. */
let waiting: ((answer: { status: number; body: Buffer }) => void)[]
let context: Context
beforeAll(async () => void (system = await startTestSystem()))
afterAll(() => system.stop())
beforeEach(async () => {
  await SourceAccount.destroy({ where: {} })
  account = await SourceAccount.create({
    kind: 'reviews',
    remoteId: 'sel',
    name: 'Sel',
    accessToken: 'old',
    refreshToken: 'renews-once',
    expiresAt: new Date(0),
  })
  waiting = []
  const post = () => new Promise((answer) => waiting.push(answer))
  context = { ...system.context, outbound: { post } as unknown as Context['outbound'] }
})

const token = () => withToken(context, 'reviews', account.id, (one) => Promise.resolve(one))
const oneIsAsked = () => vi.waitFor(() => expect(waiting).toHaveLength(1), { timeout: 5000, interval: 10 })
const answer = (status: number, body: object) => waiting.shift()!({ status, body: Buffer.from(JSON.stringify(body)) })
const renewed = {
  access_token: 'new',
  expires_in: 3600,
  refresh_token: 'renews-next',
  account: { id: 'sel', name: 'Sel' },
}

it('is renewed once for all who ask at the same time, with no lock and no transaction while the service is waited for', async () => {
  const all = Promise.all(Array.from({ length: 8 }, token))
  await oneIsAsked()
  const { db } = system.context
  await db.query('SELECT id FROM source_accounts FOR UPDATE NOWAIT')
  const [held] = await db.query<{ n: number }>(
    `SELECT count(*)::int AS n FROM pg_stat_activity WHERE datname = current_database() AND state LIKE 'idle in transaction%'`,
    { type: QueryTypes.SELECT },
  )
  expect(held!.n).toBe(0)
  answer(200, renewed)
  expect(await all).toEqual(Array.from({ length: 8 }, () => 'new'))
  expect(waiting).toHaveLength(0)
  expect(await account.reload()).toMatchObject({ refreshToken: 'renews-next', claimedUntil: null })
})

it('is renewed by the next where whoever was at it was killed', async () => {
  await account.update({ claimedUntil: new Date(Date.now() + 400) })
  const one = token()
  await oneIsAsked()
  expect(Date.now()).toBeGreaterThanOrEqual(account.claimedUntil!.getTime())
  answer(200, renewed)
  expect(await one).toBe('new')
})

it('that cannot be renewed is let go: the next asks again', async () => {
  const gone = token()
  await oneIsAsked()
  answer(400, { error: 'invalid_grant' })
  await expect(gone).rejects.toMatchObject({ fault: { code: 'reconnect' } })
  const down = token()
  await oneIsAsked()
  answer(503, {})
  await expect(down).rejects.toMatchObject({ fault: { code: 'status-503' } })
  expect(await account.reload()).toMatchObject({ accessToken: 'old', claimedUntil: null })
})
