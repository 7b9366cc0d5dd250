import type { ModelStatic } from 'sequelize'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Activity } from '../activity/models'
import { Install } from '../installs/models'
import { planned, setScene, type Scene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { tidyHistory } from './history'
import { Check, FindingRow, Look, Reading, Round } from '../findings/models'

let system: TestSystem
let ada: Person
let scene: Scene
let install: Install

const DAY = 86_400_000
const NOON = new Date('2026-11-30T12:00:00Z')
const ago = (days: number, hours = 0) => new Date(NOON.getTime() - days * DAY - hours * 3_600_000)

beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada)
  install = await planned(ada, scene, 'main')
  await system.work()
})
afterAll(() => system.stop())

async function seen(at: Date, isEvidence: boolean): Promise<string> {
  const { id } = await Reading.create({ pageId: scene.pageId, beganAt: at, isEvidence })
  const look = {
    how: 'served',
    url: 'http://kiln.example',
    finalUrl: 'http://kiln.example',
    status: 200,
    headers: {},
    html: '<p>',
    ms: 1,
    at,
    error: null,
  } as const
  await Look.create({ ...look, readingId: id })
  return id
}
async function checked(at: Date, more: Partial<Check> = {}): Promise<string> {
  const { id } = await Check.create({
    installId: install.id,
    cause: 'round',
    state: 'done',
    askedAt: at,
    startedAt: at,
    finishedAt: at,
    statusAfter: 'confirmed',
    ...more,
  })
  const finding = {
    code: 'absent',
    subject: 'install',
    weight: 1,
    nextAction: 'paste',
    position: 0,
    title: 't',
    says: 's',
    remedy: 'r',
    data: {},
    proof: {},
  }
  await FindingRow.create({ ...finding, checkId: id } as never)
  return id
}
const thereOf = async (model: ModelStatic<Check> | ModelStatic<Reading>, ids: Record<string, string>) => {
  const rows = await (model as ModelStatic<Check>).findAll({ where: { id: Object.values(ids) } })
  return Object.keys(ids).filter((name) => rows.some(({ id }) => id === ids[name]))
}

describe('the history of checks', () => {
  it('keeps the evidence of changes for a quarter, and what was seen of a page last however old it is', async () => {
    await Reading.destroy({ where: { pageId: scene.pageId } })
    const ids = { old: await seen(ago(91), true), young: await seen(ago(89), true), newest: await seen(ago(1), false) }
    await tidyHistory(system.context, NOON)
    expect(await thereOf(Reading, ids)).toEqual(['young', 'newest'])
    expect(await Look.count({ where: { readingId: ids.old } })).toBe(0)
    await tidyHistory(system.context, new Date(NOON.getTime() + 365 * DAY))
    expect(await thereOf(Reading, ids)).toEqual(['newest'])
  })
  it('then keeps a verdict a day, for two years; never loses the last of an install', async () => {
    const ids = {
      today: await checked(ago(0, 2)),
      'today, earlier': await checked(ago(0, 4)),
      'morning in spring': await checked(ago(200, 4)),
      'noon in spring': await checked(ago(200)),
      'before midnight': await checked(new Date('2026-03-01T23:59:00Z')),
      'after midnight': await checked(new Date('2026-03-02T00:01:00Z')),
      'long ago': await checked(ago(731)),
    }
    const last = await checked(ago(800))
    await install.update({ lastCheckId: last })
    const { id: round } = await Round.create({ state: 'done', total: 1, startedAt: ago(731), finishedAt: ago(731) })
    await tidyHistory(system.context, NOON)
    expect(await thereOf(Check, { ...ids, last })).toEqual([
      'today',
      'today, earlier',
      'noon in spring',
      'before midnight',
      'after midnight',
      'last',
    ])
    expect(await FindingRow.count({ where: { checkId: ids['long ago'] } })).toBe(0)
    expect(await Round.findByPk(round)).toBeNull()
    // What changed stays in the time line.
    expect(await Activity.count({ where: { installId: install.id } })).toBeGreaterThan(0)
  })
  it('is kept for as long as the agency says, and goes on in pieces', async () => {
    const settings = (await ada.get('/api/agency')).body as object
    await ada.put('/api/agency', { ...settings, history: { evidenceDays: 7, verdictDays: 30 } })
    const ids = { young: await checked(ago(29)), old: await checked(ago(31)) }
    const over = { isUp: () => true }
    expect(await tidyHistory(system.context, NOON, over as never)).toBe('more')
    expect(await thereOf(Check, ids)).toEqual(['young', 'old'])
    await tidyHistory(system.context, NOON)
    expect(await thereOf(Check, ids)).toEqual(['young'])
    await ada.put('/api/agency', settings)
  })
  it('a look that changed a status is evidence; the next that sees the same is not', async () => {
    await ada.post(`/api/installs/${install.id}/pasted`, {})
    const evidence = async () => {
      await ada.post(`/api/installs/${install.id}/checks`)
      await system.work()
      const { lastCheckId } = (await Install.findByPk(install.id))!
      const { readingId } = (await Check.findByPk(lastCheckId!))!
      return (await Reading.findByPk(readingId!))!.isEvidence
    }
    expect(await evidence()).toBe(true)
    expect(await evidence()).toBe(false)
  })
  it('is not copied with a site that is removed, but for the last of each status', async () => {
    for (let hours = 1; hours < 30; hours++) await checked(ago(3, hours))
    const before = await Check.count({ where: { installId: install.id } })
    expect(before).toBeGreaterThan(29)
    const removal = (await ada.post('/api/removals', { what: 'install', id: install.id, standing: 1 })).body as {
      id: string
    }
    await ada.delete(`/api/removals/${removal.id}`)
    const after = await Check.findAll({ where: { installId: install.id } })
    const statuses = after.map(({ statusAfter }) => statusAfter)
    expect(after.length).toBeLessThanOrEqual(new Set(statuses).size + 1)
    expect(after.map(({ id }) => id)).toContain((await Install.findByPk(install.id))!.lastCheckId)
  })
})
