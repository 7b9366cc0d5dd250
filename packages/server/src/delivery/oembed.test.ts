import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Install } from '../installs/models'
import { planned, setScene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'

let system: TestSystem
let install: Install
let ada: Person
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  install = await planned(ada, await setScene(system, ada), 'sidebar')
})
afterAll(() => system.stop())

const get = (url: string) => system.app.inject({ url })
const ask = (more: Record<string, string> = {}, path = `/v/${install.publicId}`) =>
  get(`/oembed?${new URLSearchParams({ url: `https://strand.example${path}`, ...more })}`)

// oEmbed 1.0: discovery (section 4), JSON and XML (2.3), maxwidth (2.2), errors (2.3.4).
describe('an address that editors expand', () => {
  it('leads from its page to what stands behind it', async () => {
    const { body, headers } = await get(`/v/${install.publicId}`)
    expect(headers['content-type']).toContain('text/html')
    const [, href] = /<link rel="alternate" type="application\/json\+oembed" href="([^"]+)"/.exec(body)!
    const answer = await get(
      new URL(href!.replace(/&amp;/g, '&')).pathname + new URL(href!.replace(/&amp;/g, '&')).search,
    )
    expect(answer.headers['content-type']).toContain('application/json')
    expect(answer.json()).toMatchObject({ type: 'rich', version: '1.0', title: 'Harbour news', width: 300 })
    expect(answer.json<{ html: string }>().html).toContain(`/f/${install.publicId}`)
  })
  it('answers as XML, within the room that is there', async () => {
    const xml = await ask({ format: 'xml', maxwidth: '250', maxheight: '200' })
    expect(xml.headers['content-type']).toContain('text/xml')
    expect(xml.body).toMatch(/<width>250<\/width>[\s\S]*<height>200<\/height>/)
  })
  it.each([
    [{ format: 'yaml' }, undefined, 501],
    [{}, '/v/nothing-here', 404],
    [{}, '/somewhere', 404],
    [{}, '/v/../etc', 404],
  ])('says what it cannot: %o at %s is %i', async (more, path, status) =>
    expect((await ask(more as Record<string, string>, path)).statusCode).toBe(status),
  )
  it('nor of anybody else’s address, nor without one', async () => {
    expect((await get(`/oembed?url=https://other.example/v/${install.publicId}`)).statusCode).toBe(404)
    expect((await get('/oembed')).statusCode).toBe(400)
  })
  it('stands in search engines only where somebody says so', async () => {
    const robots = async () => /name="robots" content="([^"]+)"/.exec((await get(`/v/${install.publicId}`)).body)![1]
    expect(await robots()).toBe('noindex')
    await ada.patch(`/api/installs/${install.id}`, { snippetOptions: { indexed: true } })
    await system.work()
    expect(await robots()).toBe('index,follow')
  })
})

describe('a connector', () => {
  it('gets the element and the script, and is told when there is nothing', async () => {
    const answer = await get(`/c1/${install.publicId}`)
    expect(answer.headers['content-type']).toContain('text/html')
    expect(answer.body).toContain(`data-pebblestrand="${install.publicId}"`)
    expect(answer.body).toContain('/strand.js')
    expect((await get('/c1/nothing-here')).statusCode).toBe(404)
  })
})
