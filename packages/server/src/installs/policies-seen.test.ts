import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Artefact } from '../artefacts/models'
import { Page } from '../sites/models'
import { planned, setScene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import type { Install } from './models'

// What an install says of the policies that its page was last served with.

let system: TestSystem
let ada: Person
let install: Install
let page: Page
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  const scene = await setScene(system, ada)
  install = await planned(ada, scene, 'sidebar')
  page = (await Page.findByPk(scene.pageId))!
})
afterAll(() => system.stop())

describe('a stricter policy that a site tries out', () => {
  it('stops nothing, and what it would have to be given is said', async () => {
    const said = async () => (await ada.get(`/api/installs/${install.id}`)).body as { ruleOneDay: string | null }
    await page.update({ policySeen: null })
    expect(await said()).toMatchObject({ ruleOneDay: null })
    const seen = { enforced: [], reported: ["script-src 'self'; connect-src *"], permissions: '', at: '2026-11-01' }
    await page.update({ policySeen: seen })
    expect(await said()).toMatchObject({
      ruleOneDay: "script-src 'self' https://strand.example",
      advice: { best: { ends: 'shown' } },
    })
  })
})

describe('a permissions policy', () => {
  it('that keeps films small is said with what it has to say instead, for widgets that play', async () => {
    const said = async () => (await ada.get(`/api/installs/${install.id}`)).body as { permission: string | null }
    await page.update({
      policySeen: { enforced: [], reported: [], permissions: 'fullscreen=(self), camera=()', at: '2026-11-01' },
    })
    expect(await said()).toMatchObject({ permission: null })
    for (const one of await Artefact.findAll({ where: { installId: install.id } }))
      await one.update({ facts: { ...one.facts, players: ['https://films.example'] } })
    expect(await said()).toMatchObject({ permission: 'fullscreen=(self "https://films.example")' })
  })
})
