import { DateTime } from 'luxon'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Artefact } from '../artefacts/models'
import type { Install } from '../installs/models'
import { Site } from '../sites/models'
import { planned, publishedWidget, setScene, type Scene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { story } from '../testing/story'
import { swapWhatIsDue } from './due'
import { PlannedSwap } from './models'
import { momentIn } from './times'

let system: TestSystem
let ada: Person
let scene: Scene
let install: Install
let other = ''
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada)
  other = await publishedWidget(ada, 'Regatta bar', scene.sourceId)
  install = await planned(ada, scene, 'sidebar')
  await system.work()
})
afterAll(() => system.stop())

const served = async () => {
  const artefact = (await Artefact.findOne({ where: { publicId: install.publicId, form: 'payload' } }))!
  return JSON.parse(artefact.bytes.toString('utf8')) as { name: string; release: number; html: string }
}
const swap = (widgetId: string) => ada.post(`/api/installs/${install.id}/swap`, { widgetId })
const issues = (answer: { body: unknown }) =>
  ((answer.body as { error: { issues?: { field: string; message: string }[] } }).error.issues ?? []).map(
    ({ field }) => field,
  )

describe('a swap', () => {
  it('shows the other widget under the address that is pasted already, and can be taken back', async () => {
    const before = await served()
    const { body, status } = await swap(other)
    expect(status).toBe(200)
    expect(body).toMatchObject({ widget: 'Regatta bar', swappedFrom: { name: 'Harbour news' } })
    expect((await served()).name).toBe('Regatta bar')
    expect((await install.reload()).publicId).toBe(install.publicId)
    expect(await swap(scene.widgetId)).toMatchObject({ status: 200, body: { widget: 'Harbour news' } })
    expect(await served()).toEqual(before)
    const { timeLine } = (await ada.get(`/api/installs/${install.id}`)).body as {
      timeLine: { verb: string; data: object }[]
    }
    expect(timeLine[0]).toMatchObject({ verb: 'swapped', data: { before: 'Regatta bar', after: 'Harbour news' } })
  })
  it('is refused for what stands there, for what is not published, and for what another install has there', async () => {
    expect(issues(await swap(scene.widgetId))).toEqual(['widgetId'])
    const { id } = (await ada.post('/api/widgets', { kind: 'headlines', name: 'Not yet' })).body as { id: string }
    expect((await swap(id)).body).toMatchObject({ error: { code: 'not-published' } })
    const there = await planned(ada, scene, 'sidebar', other)
    expect(issues(await swap(other))).toEqual(['widgetId'])
    await there.destroy()
  })
  it('forgets the release it was held at: that was of the widget before', async () => {
    await ada.put(`/api/installs/${install.id}/held`, { release: 1 })
    await swap(other)
    expect((await install.reload()).heldRelease).toBeNull()
    await swap(scene.widgetId)
  })
})

describe('a release that is held', () => {
  const publish = async () => {
    const { draft } = (await ada.get(`/api/widgets/${scene.widgetId}`)).body as {
      draft: { settings: Record<string, unknown>; version: number }
    }
    const settings = { ...draft.settings, count: (draft.settings.count as number) - 1 }
    const { version } = (await ada.put(`/api/widgets/${scene.widgetId}/draft`, { settings, version: draft.version }))
      .body as { version: number }
    await ada.post(`/api/widgets/${scene.widgetId}/releases`, { version, note: 'One fewer' })
    await system.work()
  }
  it('stays whatever is published, and follows again when it is let go', async () => {
    const held = await served()
    expect(await ada.put(`/api/installs/${install.id}/held`, { release: 1 })).toMatchObject({
      status: 200,
      body: { held: true, release: 1, newestRelease: 1 },
    })
    await publish()
    expect(await served()).toEqual(held)
    expect((await ada.get(`/api/installs/${install.id}`)).body).toMatchObject({
      release: 1,
      newestRelease: 2,
      held: true,
    })
    const { rows } = (await ada.get('/api/installs?held=1')).body as { rows: { id: string }[] }
    expect(rows.map(({ id }) => id)).toEqual([install.id])
    await ada.put(`/api/installs/${install.id}/held`, { release: null })
    await system.work()
    expect((await served()).release).toBe(2)
  })
  it('must be one there is', async () =>
    expect(issues(await ada.put(`/api/installs/${install.id}/held`, { release: 9 }))).toEqual(['release']))
})

story('a swap that is planned', (step) => {
  const plan = (from: string, until?: string, widgetId = other) =>
    ada.post(`/api/installs/${install.id}/planned-swaps`, { widgetId, from, ...(until ? { until } : {}) })
  const at = (moment: string) => new Date(moment)
  beforeAll(() => Site.update({ timeZone: 'Atlantic/Faroe' }, { where: { id: scene.siteId } }))

  step('begins and ends by the site’s own clock, and what stood there comes back', async () => {
    // In November the Faroes are on UTC, in summer an hour ahead.
    expect((await plan('2027-07-01T08:00', '2027-07-10T20:00')).status).toBe(200)
    const [swap] = await PlannedSwap.findAll()
    expect([swap!.fromAt.toISOString(), swap!.untilAt!.toISOString()]).toEqual([
      '2027-07-01T07:00:00.000Z',
      '2027-07-10T19:00:00.000Z',
    ])
    await swapWhatIsDue(system.context, at('2027-07-01T06:59:00Z'))
    expect((await served()).name).toBe('Harbour news')
    await swapWhatIsDue(system.context, at('2027-07-01T07:00:00Z'))
    expect((await served()).name).toBe('Regatta bar')
    await swapWhatIsDue(system.context, at('2027-07-01T07:01:00Z')) // once
    await swapWhatIsDue(system.context, at('2027-07-10T19:00:00Z'))
    expect((await served()).name).toBe('Harbour news')
    expect((await swap!.reload()).state).toBe('over')
  })
  step('is said on Today before it happens', async () => {
    const soon = DateTime.now().setZone('Atlantic/Faroe').plus({ days: 3 }).toFormat("yyyy-MM-dd'T'HH:mm")
    await plan(soon)
    const { swaps } = (await ada.get('/api/today')).body as {
      swaps: { state: string; widget: string; before: string }[]
    }
    expect(swaps).toMatchObject([{ state: 'planned', widget: 'Regatta bar', before: 'Harbour news' }])
  })
  step('does not fall into another, nor end before it begins, nor lie behind', async () => {
    const later = (days: number) =>
      DateTime.now().setZone('Atlantic/Faroe').plus({ days }).toFormat("yyyy-MM-dd'T'HH:mm")
    expect(issues(await plan(later(5)))).toEqual(['from'])
    await PlannedSwap.destroy({ where: { state: 'planned' } })
    expect(issues(await plan(later(5), later(4)))).toEqual(['until'])
    expect(issues(await plan(later(-9), later(-4)))).toEqual(['until'])
    expect(issues(await plan('next week'))).toEqual(['from'])
    expect(issues(await plan(later(5), later(6), scene.widgetId))).toEqual(['widgetId'])
  })
  step('leaves alone what somebody has put there meanwhile', async () => {
    const third = await publishedWidget(ada, 'Winter menu', scene.sourceId)
    await plan('2028-01-01T00:00', '2028-02-01T00:00')
    await swapWhatIsDue(system.context, at('2028-01-01T00:00:00Z'))
    await swap(third)
    await swapWhatIsDue(system.context, at('2028-02-01T00:00:00Z'))
    expect((await served()).name).toBe('Winter menu')
    await swap(scene.widgetId)
  })
  step('that cannot be done says why, and holds up no other', async () => {
    await plan('2029-01-01T00:00')
    const there = await planned(ada, scene, 'sidebar', other)
    await swapWhatIsDue(system.context, at('2029-01-01T00:00:00Z'))
    expect(await PlannedSwap.findOne({ order: [['madeAt', 'DESC']] })).toMatchObject({
      state: 'failed',
      problem: 'widgetId: stands in this placement already, by another install.',
    })
    await there.destroy()
  })
  step('is dropped', async () => {
    await plan('2030-01-01T00:00')
    const swap = (await PlannedSwap.findOne({ where: { state: 'planned' } }))!
    const { body } = await ada.delete(`/api/installs/${install.id}/planned-swaps/${swap.id}`)
    expect((body as { plannedSwaps: { id: string }[] }).plannedSwaps.map(({ id }) => id)).not.toContain(swap.id)
  })
})

// luxon as the reference is the same library: these are the days of the IANA time zone database themselves.
describe('times through a change of clocks', () => {
  it.each([
    // Clocks go forward on 28 March 2027 at 01:00 UTC: 02:30 in Berlin is not there, and is as much later.
    ['2027-03-28T02:30', 'Europe/Berlin', '2027-03-28T01:30:00.000Z'],
    ['2027-03-28T01:30', 'Europe/Berlin', '2027-03-28T00:30:00.000Z'],
    ['2027-03-28T03:30', 'Europe/Berlin', '2027-03-28T01:30:00.000Z'],
    // And back on 31 October 2027: 02:30 is there twice, and the first is meant.
    ['2027-10-31T02:30', 'Europe/Berlin', '2027-10-31T00:30:00.000Z'],
    ['2027-12-01T08:00', 'America/St_Johns', '2027-12-01T11:30:00.000Z'],
    ['2027-12-01T08:00', 'UTC', '2027-12-01T08:00:00.000Z'],
  ])('%s in %s', (local, zone, moment) => expect(momentIn(local, zone, 'from').toISOString()).toBe(moment))
  it('a day that is none', () => expect(() => momentIn('2027-02-30T08:00', 'UTC', 'from')).toThrow('no day and time'))
})
