import type { Verdict } from '@pebblestrand/core/verify'
import { afterAll, beforeAll, beforeEach, expect, it } from 'vitest'
import { Activity } from '../activity/models'
import type { Install } from '../installs/models'
import { Placement } from '../sites/models'
import { planned, setScene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { Check } from '../findings/models'
import { noteWidths, tellWidth } from './note-widths'

let system: TestSystem
let ada: Person
let install: Install
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  install = await planned(ada, await setScene(system, ada), 'sidebar')
})
beforeEach(async () => {
  await Activity.destroy({ where: { verb: 'width-changed' } })
  await Placement.update({ known: 'noted', width: 300, widthSeen: null }, { where: { id: install.placementId! } })
})
afterAll(() => system.stop())

const seen = (room: number | null, changed = false) => ({
  install,
  verdict: {
    facts: { room },
    notes: changed ? [{ code: 'width-changed', says: '' }] : [],
  } as unknown as Verdict,
})
/** As a check does: told with the verdict, noted once it is written. */
async function look(one: ReturnType<typeof seen>) {
  const { id } = await Check.create({
    installId: install.id,
    cause: 'round',
    state: 'done',
    facts: one.verdict.facts,
  })
  await system.context.db.transaction((transaction) => tellWidth(one, id, transaction))
  await noteWidths(system.context, [one])
}
const told = async () =>
  (await Activity.findAll({ where: { verb: 'width-changed' }, order: [['at', 'ASC']] })).map(({ data }) => data.title)
const placement = () => Placement.findByPk(install.placementId!)

it('a width that nobody measured is not compared', async () => {
  await look(seen(200, true))
  expect(await told()).toEqual([])
})

it('a width that was read and is another now is told once, with whether it still fits', async () => {
  await Placement.update({ known: 'read' }, { where: { id: install.placementId! } })
  await look(seen(276, true))
  await look(seen(276, true))
  expect(await told()).toEqual(['Its place is 276 px wide now, 300 px were read'])
  // A scroll bar more is the same width; a look without a browser between measures nothing.
  await look(seen(null))
  await look(seen(270, true))
  expect(await told()).toHaveLength(1)
  await look(seen(60, true))
  expect((await told()).at(-1)).toBe('Its place is 60 px wide now, 300 px were read: it no longer fits')
  expect((await placement())!.widthSeen).toBe(60)
})

it('taken over by a person it is the width that was read; as it was again, nothing is left to say', async () => {
  await Placement.update({ known: 'read', widthSeen: 60 }, { where: { id: install.placementId! } })
  await ada.patch(`/api/placements/${install.placementId}`, { width: 60 })
  expect(await placement()).toMatchObject({ width: 60, widthSeen: null, known: 'read' })
  await ada.patch(`/api/placements/${install.placementId}`, { width: 60, name: 'aside' })
  expect(await placement()).toMatchObject({ width: 60, known: 'read', name: 'aside' })
  await ada.patch(`/api/placements/${install.placementId}`, { width: 300 })
  expect(await placement()).toMatchObject({ width: 300, known: 'noted' })
  await Placement.update({ known: 'read', widthSeen: 60 }, { where: { id: install.placementId! } })
  await look(seen(300))
  expect((await placement())!.widthSeen).toBeNull()
})
