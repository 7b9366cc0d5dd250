import type { Payload } from '@pebblestrand/core/artefacts'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Install } from '../installs/models'
import { planned, setScene, type Scene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { languageOf } from './note-language'

describe('the language that a page says it is in', () => {
  it.each([
    ['<!doctype html><html lang="de-AT">', 'de-AT'],
    ["<HTML class=x LANG='pt-br' dir=ltr>", 'pt-BR'],
    ['<html lang=el>', 'el'],
    ['<html data-lang="fr">', null],
    ['<html lang="not a language!">', null],
    ['<p lang="fr">', null],
  ])('%s: %s', (html, language) => expect(languageOf(html)).toBe(language))
})

describe('a widget on a page in another language than its site', () => {
  let system: TestSystem
  let scene: Scene
  let install: Install
  let ada: Person
  let home: string
  beforeAll(async () => {
    system = await startTestSystem()
    ada = await new Person(system.app).join()
    scene = await setScene(system, ada, 'skerrow-library', '/far-shores')
    await ada.patch(`/api/sites/${scene.siteId}`, { language: 'en-GB' })
    install = await planned(ada, scene, 'sidebar')
    const { pages } = (await ada.get(`/api/sites/${scene.siteId}`)).body as { pages: { id: string; path: string }[] }
    home = pages.find(({ path }) => path === '/')!.id
  })
  afterAll(() => system.stop())
  const html = async () => (await system.app.inject({ url: `/p2/${install.publicId}.json` })).json<Payload>().html

  it('speaks the page’s, once that was looked at', async () => {
    expect(await html()).toContain('lang="en-GB"')
    await system.work()
    expect(await html()).toContain('lang="en-GB"') // nobody knows yet whether all of the site says so
    await planned(ada, { ...scene, pageId: home }, 'sidebar')
    await system.work()
    // A change is heard by notification: a moment later.
    await expect.poll(html, { timeout: 4000, interval: 40 }).toMatch(/lang="ar[^"]*" dir="rtl"/)
  })
})
