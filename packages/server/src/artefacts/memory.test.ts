import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { planned, setScene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { announce } from './announce'
import { ArtefactMemory, STALE } from './memory'
import { Artefact } from './models'

let system: TestSystem
let memory: ArtefactMemory
let publicId = ''
beforeAll(async () => {
  system = await startTestSystem()
  const ada = await new Person(system.app).join()
  ;({ publicId } = await planned(ada, await setScene(system, ada, 'ninefold-choir', '/concerts'), 'main'))
  await system.work()
  memory = new ArtefactMemory(system.context.config.databaseUrl, () => {})
  await memory.listen()
})
afterAll(async () => {
  await memory.close()
  await system.stop()
})

const changed = () => system.context.db.transaction((transaction) => announce(system.context, [publicId], transaction))

describe('a database that takes questions and does not answer', () => {
  it('keeps one visitor waiting for a moment, and the next ones not at all: what is known is served, marked', async () => {
    const fresh = (await memory.get(publicId, 'payload'))!
    const silent = vi.spyOn(Artefact, 'findAll').mockReturnValue(new Promise(() => {}) as never)
    await changed()
    await vi.waitFor(() => expect(memory.peek(publicId, 'payload')).toBeUndefined())
    const began = Date.now()
    const known = (await memory.get(publicId, 'payload'))!
    expect(Date.now() - began).toBeLessThan(4000)
    expect(known).toMatchObject({ etag: fresh.etag, headers: STALE })
    expect(memory.peek(publicId, 'payload')).toMatchObject({ headers: STALE })
    await expect(memory.get('22222-22222-22222-22222', 'payload')).rejects.toThrow('did not answer')
    silent.mockRestore()
    expect((await memory.get(publicId, 'payload'))!.headers).not.toMatchObject(STALE)
  })
})
