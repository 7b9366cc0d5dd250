import type { Verdict } from '@pebblestrand/core/verify'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { Activity } from '../activity/models'
import type { Install } from '../installs/models'
import { Placement } from '../sites/models'
import { planned, setScene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { noteWidths } from './note-widths'

let system: TestSystem
let ada: Person
let install: Install
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  install = await planned(ada, await setScene(system, ada), 'sidebar')
})
afterAll(() => system.stop())

const seen = (room: number | null, changed = false) => ({
  install,
  verdict: {
    facts: { room },
    notes: changed ? [{ code: 'width-changed', says: '' }] : [],
  } as unknown as Verdict,
})
const told = async () =>
  (await Activity.findAll({ where: { verb: 'width-changed' }, order: [['at', 'ASC']] })).map(({ data }) => data.title)
const placement = () => Placement.findByPk(install.placementId!)

it('a width that nobody measured is not compared', async () => {
  await noteWidths(system.context, [seen(200, true)])
  expect(await told()).toEqual([])
})

it('a width that was read and is another now is told once, with whether it still fits', async () => {
  await Placement.update({ known: 'read' }, { where: { id: install.placementId! } })
  await noteWidths(system.context, [seen(292, true)])
  await noteWidths(system.context, [seen(292, true)])
  expect(await told()).toEqual(['Its place is 292 px wide now, 300 px were read'])
  await noteWidths(system.context, [seen(60, true)])
  expect((await told()).at(-1)).toBe('Its place is 60 px wide now, 300 px were read: it no longer fits')
  expect((await placement())!.widthSeen).toBe(60)
})

it('taken over by a person it is the width that was read; as it was again, nothing is left to say', async () => {
  await ada.patch(`/api/placements/${install.placementId}`, { width: 60 })
  expect(await placement()).toMatchObject({ width: 60, widthSeen: null, known: 'read' })
  await ada.patch(`/api/placements/${install.placementId}`, { width: 300 })
  expect(await placement()).toMatchObject({ width: 300, known: 'noted' })
  await Placement.update({ known: 'read', widthSeen: 60 }, { where: { id: install.placementId! } })
  await noteWidths(system.context, [seen(300)])
  expect((await placement())!.widthSeen).toBeNull()
})
