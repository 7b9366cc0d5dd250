import { QueryTypes } from 'sequelize'
import { afterAll, beforeAll, beforeEach, expect, it } from 'vitest'
import type { Install } from '../installs/models'
import { CHROMIUM } from '../platform/browser/chromium-path'
import { BrowserPool } from '../platform/browser/pool'
import type { Context } from '../platform/context'
import { planned, setScene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { lookAtPage, lookInBrowserToo } from './look-at-page'
import { Check, Look } from '../findings/models'
import { queueCheck } from '../findings/queue-check'

let system: TestSystem
let context: Context
let install: Install
beforeAll(async () => {
  system = await startTestSystem()
  const ada = await new Person(system.app).join()
  install = await planned(ada, await setScene(system, ada, 'pollard-cycles', '/hire'), 'sidebar')
  await system.work()
  const { origin } = system.context.config
  const browser = BrowserPool.at(CHROMIUM, { openings: { localhostNames: true }, own: origin })
  context = { ...system.context, browser }
})
afterAll(async () => {
  await context.browser?.close()
  await system.stop()
})

// What an earlier look left for the browser is no matter of the next one.
beforeEach(async () => {
  await context.db.query(`DELETE FROM queue.job WHERE name = 'look-in-browser'`)
})

const waitingForABrowser = async () => {
  const [row] = await context.db.query<{ count: string }>(
    `SELECT count(*) FROM queue.job WHERE name = 'look-in-browser' AND state = 'created' AND data->>'pageId' = :pageId`,
    { replacements: { pageId: install.pageId }, type: QueryTypes.SELECT },
  )
  return Number(row!.count)
}
const ways = async (check: Check) =>
  (await Look.findAll({ where: { readingId: check.readingId! }, order: [['at', 'ASC']] })).map(({ how }) => how)

it('what a person asks for is handed on to the line of the browser, and looked at in it', async () => {
  const check = (await Check.findByPk(await queueCheck(context, install, 'person', null)))!
  await lookAtPage(context, install.pageId)
  expect((await check.reload()).state).toBe('queued')
  expect(await waitingForABrowser()).toBe(1)
  await lookInBrowserToo(context, install.pageId)
  expect((await check.reload()).state).toBe('done')
  expect(await ways(check)).toEqual(['served', 'fresh', 'phone', 'tablet', 'desktop'])
  const [picture] = await Look.findAll({ where: { readingId: check.readingId!, how: 'desktop' } })
  expect(picture!.picture!.length).toBeGreaterThan(2000)
  expect(picture!.sight).toMatchObject({ width: 1280, widgets: [] })
}, 60_000)

it('a first look at a page before anything was pasted needs none', async () => {
  const check = (await Check.findByPk(await queueCheck(context, install, 'plan', null)))!
  await lookAtPage(context, install.pageId)
  expect((await check.reload()).state).toBe('done')
  expect(await ways(check)).toEqual(['served', 'fresh'])
}, 60_000)

it('a round hands on where something is doubtful', async () => {
  await (await install.reload()).update({ status: 'pasted', pastedAt: new Date(), baseline: null })
  const check = await Check.create({ installId: install.id, cause: 'round' })
  await lookAtPage(context, install.pageId)
  expect((await check.reload()).state).toBe('queued') // absent: scripts may bring it
  await lookInBrowserToo(context, install.pageId)
  expect((await check.reload()).state).toBe('done')
}, 60_000)

it('a person who asks while a round waits gets the browser as well', async () => {
  const check = await Check.create({ installId: install.id, cause: 'round' })
  expect(await queueCheck(context, install, 'person', null)).toBe(check.id)
  expect((await check.reload()).cause).toBe('person')
  await Check.update({ state: 'stopped' }, { where: { id: check.id } })
})

it('without a browser all is done in one go', async () => {
  const check = (await Check.findByPk(await queueCheck(system.context, install, 'person', null)))!
  await lookAtPage(system.context, install.pageId)
  expect((await check.reload()).state).toBe('done')
  expect(await ways(check)).toEqual(['served', 'fresh'])
}, 60_000)
