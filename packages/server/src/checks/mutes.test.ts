import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import type { Install } from '../installs/models'
import { planned, setScene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { Mute } from '../findings/models'

let system: TestSystem
let ada: Person
let install: Install
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  install = await planned(ada, await setScene(system, ada), 'sidebar')
  await ada.post(`/api/installs/${install.id}/pasted`)
  await check()
})
afterAll(() => system.stop())
beforeEach(async () => {
  await ada.delete(`/api/installs/${install.id}/mutes/${await code()}`)
})

async function check(): Promise<void> {
  await ada.post(`/api/installs/${install.id}/checks`)
  await system.work()
}
interface Seen {
  status: string
  check: { findings: { code: string; muted: { reason: string; by: string } | null }[] }
}
const seen = async () => (await ada.get(`/api/installs/${install.id}`)).body as Seen
const day = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10)
const put = (code: string, body: object) => ada.put(`/api/installs/${install.id}/mutes/${code}`, body)
const waitsToday = async () =>
  ((await ada.get('/api/today')).body as { waiting: { id: string }[] }).waiting.some(({ id }) => id === install.id)
const code = async () => (await seen()).check.findings[0]!.code

describe('a finding', () => {
  it('is put away with a reason, until a day: at once it needs no hand, and says so; it is confirmed only where it is seen', async () => {
    expect((await seen()).status).toBe('needs-a-hand')
    const answer = await put(await code(), { reason: 'The client rebuilds the page', until: day(20) })
    expect(answer.status).toBe(200)
    const { status, check: last } = await seen()
    expect(status).toBe('pasted') // it is not there, and is not said to be
    expect(await waitsToday()).toBe(false)
    expect(last.findings[0]!.muted).toMatchObject({
      reason: 'The client rebuilds the page',
      by: expect.any(String) as string,
    })
  })
  it('stays put away when it is found again', async () => {
    await put(await code(), { reason: 'The client rebuilds the page', until: day(20) })
    await check()
    expect((await seen()).status).toBe('pasted')
  })
  it('counts again when it is taken up, and when its day has come', async () => {
    await put(await code(), { reason: 'The client rebuilds the page', until: day(20) })
    await ada.delete(`/api/installs/${install.id}/mutes/${await code()}`)
    expect((await seen()).status).toBe('needs-a-hand')
    expect(await waitsToday()).toBe(true)
    await put(await code(), { reason: 'again', until: day(2) })
    await Mute.update({ until: new Date(Date.now() - 1000) }, { where: { installId: install.id } })
    await check()
    expect(await seen()).toMatchObject({ status: 'needs-a-hand', check: { findings: [{ muted: null }] } })
  })
  it.each([
    [{ until: day(9) }, 'reason'],
    [{ reason: 'x', until: day(-1) }, 'until'],
    [{ reason: 'x', until: day(1000) }, 'until'],
    [{ reason: 'x', until: 'soon' }, 'until'],
  ])('%j is refused at its field', async (body, field) => {
    const answer = await put('absent', body)
    expect(answer).toMatchObject({ status: 400, body: { error: { issues: [{ field }] } } })
  })
  it('that something is still there cannot be put away', async () =>
    expect((await put('still-there', { reason: 'x', until: day(3) })).status).toBe(400))
  it('comes back with its install', async () => {
    await put('absent', { reason: 'kept', until: day(9) })
    const { id } = (await ada.post('/api/removals', { what: 'install', id: install.id, standing: 100 })).body as {
      id: string
    }
    expect(await Mute.count({ where: { installId: install.id } })).toBe(0)
    expect((await ada.delete(`/api/removals/${id}`)).status).toBe(200)
    expect(await Mute.count({ where: { installId: install.id, code: 'absent' } })).toBe(1)
  })
})
