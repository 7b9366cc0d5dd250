import { ArticleBody } from '@pebblestrand/core/items'
import type { Payload } from '@pebblestrand/core/artefacts'
import { QueryTypes } from 'sequelize'
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Install } from '../installs/models'
import { ItemRow } from '../sources/models'
import { planned, publishedWidget, setScene, type Scene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { Artefact } from './models'
import { recompute } from '../delivery/recompute'

// A rendering that is under way holds nothing, and what it stores in the end is never older than what is there.

let system: TestSystem
let ada: Person
let scene: Scene
let install: Install
/** Lets the rendering go on that waits for its sieve. */
let goOn: () => void

beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada)
  await system.work()
  // So much text that it is sieved in a thread.
  const row = (await ItemRow.findOne({ where: { sourceId: scene.sourceId } }))!
  await row.update({ body: { ...ArticleBody.parse(row.body), text: 'Low water. '.repeat(20_000) } })
})
afterAll(() => system.stop())

beforeEach(async () => {
  install = await planned(ada, scene, 'sidebar')
  await system.work()
})
afterEach(async () => {
  vi.restoreAllMocks()
  await ada.post('/api/removals', { what: 'install', id: install.id })
})

/** Begins one, until it has read everything and waits for its sieve. */
async function underWay(): Promise<{ done: Promise<void> }> {
  const { threads } = system.context
  const run = threads.run.bind(threads)
  const opened = new Promise<void>((resolve) => (goOn = resolve))
  const sieved = vi.spyOn(threads, 'run').mockImplementationOnce(async (...args) => (await opened, run(...args)))
  const done = recompute(system.context, scene.widgetId)
  await vi.waitFor(() => expect(sieved).toHaveBeenCalledOnce())
  return { done }
}

const served = async () => {
  const stored = await Artefact.findOne({ where: { publicId: install.publicId, form: 'payload' } })
  return stored && (JSON.parse(stored.bytes.toString('utf8')) as Payload)
}

async function publishTitled(title: string): Promise<void> {
  const { draft } = (await ada.get(`/api/widgets/${scene.widgetId}`)).body as {
    draft: { settings: object; version: number }
  }
  const settings = { ...draft.settings, title: 'own', titleText: title }
  const { version } = (await ada.put(`/api/widgets/${scene.widgetId}/draft`, { settings, version: draft.version }))
    .body as { version: number }
  await ada.post(`/api/widgets/${scene.widgetId}/releases`, { version })
}

describe('while a widget is rendered', () => {
  it('nothing is locked, and no connection waits within a transaction', async () => {
    const rendering = await underWay()
    const [held] = await system.context.db.query<{ locks: string; idle: string }>(
      `SELECT (SELECT count(*) FROM pg_locks WHERE locktype = 'advisory' AND database = (SELECT oid FROM pg_database WHERE datname = current_database())) AS locks,
       (SELECT count(*) FROM pg_stat_activity WHERE datname = current_database() AND state LIKE 'idle in transaction%') AS idle`,
      { type: QueryTypes.SELECT },
    )
    expect(held).toEqual({ locks: '0', idle: '0' })
    goOn()
    await rendering.done
  })

  it('a newer release that is served meanwhile is not overwritten', async () => {
    const older = await underWay()
    await publishTitled('The newer words')
    await system.work()
    expect((await served())!.html).toContain('The newer words')
    goOn()
    await older.done
    expect((await served())!.html).toContain('The newer words')
  })

  it('an install that shows another widget by now goes on showing that', async () => {
    const other = await publishedWidget(ada, `Another of ${install.publicId}`, scene.sourceId)
    const older = await underWay()
    await ada.post(`/api/installs/${install.id}/swap`, { widgetId: other })
    expect((await served())!.name).toContain('Another of')
    goOn()
    await older.done
    expect((await served())!.name).toContain('Another of')
  })

  it('an install that is removed comes by nothing', async () => {
    const older = await underWay()
    await ada.post('/api/removals', { what: 'install', id: install.id })
    goOn()
    await older.done
    expect(await served()).toBeNull()
  })
})

describe('what is rendered right after a transaction', () => {
  const waiting = async () => {
    const [row] = await system.context.db.query<{ count: string }>(
      `SELECT count(*) FROM queue.job WHERE name = 'recompute' AND state < 'active'`,
      { type: QueryTypes.SELECT },
    )
    return Number(row!.count)
  }

  it('leaves the queue nothing to do', async () => {
    expect(await served()).not.toBeNull()
    expect(await waiting()).toBe(0)
  })

  it('is rendered by the queue where it could not be', async () => {
    const { db } = system.context
    const query = db.query.bind(db) as (...args: unknown[]) => Promise<never>
    const failing = vi
      .spyOn(db, 'query')
      .mockImplementation(async (...args: unknown[]) =>
        String(args[0]).includes('INSERT INTO artefacts') ? Promise.reject(new Error('no room')) : query(...args),
      )
    await ada.post('/api/removals', { what: 'install', id: install.id })
    install = await planned(ada, scene, 'sidebar')
    failing.mockRestore()
    expect([await served(), await waiting()]).toEqual([null, 1])
    await db.query(`UPDATE queue.job SET start_after = now() WHERE name = 'recompute' AND state = 'created'`)
    await system.work()
    expect(await served()).not.toBeNull()
  })
})
