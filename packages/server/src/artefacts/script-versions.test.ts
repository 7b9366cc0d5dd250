import { methods } from '@pebblestrand/core/methods'
import { parseHtml } from '@pebblestrand/core/html'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { startTestSystem, type TestSystem } from '../testing/system'
import { ScriptVersion } from './models'
import { integrityOf, keepScriptVersion, scriptNow } from './script-versions'

let system: TestSystem
beforeAll(async () => {
  system = await startTestSystem()
})
afterAll(() => system.stop())

it('an integrity value is the one of the specification’s example', () =>
  // W3C Subresource Integrity, section 3.2.
  expect(integrityOf("alert('Hello, world.');")).toBe(
    'sha384-H8BRh8j48O9oYatfu5AZzq6A9RINhZO5H16dQZngK7T62em8MUt1FLm52t+eX6xO',
  ))

describe('the script by its version', () => {
  it('is the script itself, for good, and is what its integrity value says', async () => {
    const newest = (await system.app.inject('/strand.json')).json<{ src: string; integrity: string }>()
    const answer = await system.app.inject(newest.src)
    expect(answer.headers).toMatchObject({
      'cache-control': 'public, max-age=31536000, immutable',
      'access-control-allow-origin': '*',
    })
    expect(integrityOf(answer.rawPayload)).toBe(newest.integrity)
    expect(answer.body).toBe((await system.app.inject('/strand.js')).body)
  })
  it('stays when a newer one has come, and is none when it never was', async () => {
    await keepScriptVersion()
    await keepScriptVersion()
    expect(await ScriptVersion.count()).toBe(1)
    await ScriptVersion.create({ version: '0123456789abcdef', bytes: Buffer.from('older()') })
    expect((await system.app.inject('/strand/0123456789abcdef.js')).body).toBe('older()')
    vi.spyOn(ScriptVersion, 'findByPk').mockRejectedValueOnce(new Error('the database is away'))
    expect((await system.app.inject('/strand/0123456789abcdef.js')).body).toBe('older()')
    vi.restoreAllMocks()
    for (const name of ['1123456789abcdef.js', 'x.js', '..%2fx.js'])
      expect((await system.app.inject(`/strand/${name}`)).statusCode).toBe(404)
  })
  it('is what a pinned snippet loads, and the verifier knows it for ours', () => {
    const request = { origin: 'https://s.example', publicId: 'abcd', name: 'N', agency: 'A', width: 300, height: 200 }
    const text = methods.inline.text({ ...request, pinned: scriptNow })
    const script = parseHtml(text)('script').get(0)!
    expect(script.attribs).toMatchObject({ integrity: scriptNow.integrity, crossorigin: 'anonymous' })
    expect(methods.inline.readScript(script)).toEqual({ origin: 'https://s.example', runs: true })
  })
})
