import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useDraftSaving } from './draft-saving'

type Answer = { status: number; body: unknown }

/** A server that answers in turn, when it is let; what it was sent is kept. */
function server() {
  const sent: { settings: { count: number }; version: number }[] = []
  const waiting: ((answer: Answer) => void)[] = []
  vi.stubGlobal('fetch', async (_path: string, init: { body: string }) => {
    sent.push(JSON.parse(init.body))
    const { status, body } = await new Promise<Answer>((resolve) => waiting.push(resolve))
    return { ok: status < 400, status, json: async () => body }
  })
  return {
    sent,
    async answer(status: number, body: unknown) {
      await vi.waitFor(() => expect(waiting.length).toBeGreaterThan(0))
      waiting.shift()!({ status, body })
      await vi.advanceTimersByTimeAsync(0)
    },
  }
}
const saved = (version: number, count: number) => ({
  version,
  savedAt: '2026-11-24T12:00:00Z',
  settings: { count },
  unfinished: {},
})
const conflict = (version: number, count: number) => ({
  error: { code: 'draft-changed', message: 'changed', remedy: 'look', data: saved(version, count) },
})

let settings = { count: 1 }
beforeEach(() => {
  vi.useFakeTimers()
  settings = { count: 1 }
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})
const begin = () => {
  const saving = useDraftSaving(() => ({ settings, unfinished: {} }))
  saving.begin('w1', { ...saved(1, 1) })
  return saving
}

describe('a draft saves itself', () => {
  it('a moment after the last change, once for many', async () => {
    const { sent, answer } = server()
    const saving = begin()
    for (settings.count = 2; settings.count < 5; settings.count++) saving.changed()
    settings.count = 4
    expect(saving.state.value).toBe('waiting')
    await vi.advanceTimersByTimeAsync(499)
    expect(sent).toHaveLength(0)
    await vi.advanceTimersByTimeAsync(2)
    expect(saving.state.value).toBe('saving')
    await answer(200, saved(2, 4))
    expect(sent).toEqual([{ settings: { count: 4 }, unfinished: {}, version: 1 }])
    expect([saving.state.value, saving.version.value]).toEqual(['saved', 2])
  })

  it('one save at a time; what changed meanwhile is saved after it, over the new version', async () => {
    const { sent, answer } = server()
    const saving = begin()
    settings = { count: 2 }
    saving.changed()
    const flushed = saving.flush()
    await vi.waitFor(() => expect(sent).toHaveLength(1))
    settings = { count: 3 }
    saving.changed()
    await answer(200, saved(2, 2))
    await answer(200, saved(3, 3))
    await flushed
    await vi.advanceTimersByTimeAsync(600)
    expect(sent.map((s) => [s.settings.count, s.version])).toEqual([
      [2, 1],
      [3, 2],
    ])
    expect(saving.state.value).toBe('saved')
  })

  it('keeps what it has when the server fails, says so, and tries again when asked', async () => {
    const { sent, answer } = server()
    const saving = begin()
    settings = { count: 9 }
    saving.changed()
    const first = saving.flush()
    await answer(500, {
      error: { code: 'unexpected', message: 'Something went wrong at our end.', remedy: 'Try again.' },
    })
    await first
    expect(saving.state.value).toBe('failed')
    expect(saving.error.value?.remedy).toBe('Try again.')
    const second = saving.flush()
    await answer(200, saved(2, 9))
    await second
    expect(sent.map((s) => s.settings.count)).toEqual([9, 9])
    expect(saving.state.value).toBe('saved')
  })
})

describe('an answer that comes late', () => {
  it('for a widget that is not open any more changes nothing of the one that is', async () => {
    const { sent, answer } = server()
    const saving = begin()
    settings = { count: 2 }
    saving.changed()
    const flushed = saving.flush()
    await vi.waitFor(() => expect(sent).toHaveLength(1))
    settings = { count: 50 }
    saving.begin('w2', { ...saved(7, 50) })
    await answer(200, saved(2, 2))
    await flushed
    expect([saving.state.value, saving.version.value]).toEqual(['saved', 7])
    await vi.advanceTimersByTimeAsync(2000)
    expect(sent.map((s) => s.settings.count)).toEqual([2]) // nothing of the first was saved to the second
  })
})

describe('two tabs', () => {
  it('the second is told, and overwrites nothing until it says so', async () => {
    const { sent, answer } = server()
    const saving = begin()
    settings = { count: 7 }
    saving.changed()
    const flushed = saving.flush()
    await answer(409, conflict(5, 3))
    await flushed
    expect(saving.state.value).toBe('conflict')
    expect(saving.theirs.value).toMatchObject({ version: 5, settings: { count: 3 } })
    settings = { count: 8 }
    saving.changed()
    await vi.advanceTimersByTimeAsync(2000)
    expect(sent).toHaveLength(1)
    const over = saving.overwrite()
    await answer(200, saved(6, 8))
    await over
    expect(sent[1]).toEqual({ settings: { count: 8 }, unfinished: {}, version: 5 })
    expect([saving.state.value, saving.theirs.value]).toEqual(['saved', null])
  })
})
