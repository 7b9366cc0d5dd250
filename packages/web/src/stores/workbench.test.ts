// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { BenchRenderer, type BenchRequest } from '../rendering/bench-rendering'
import { useWorkbench } from './workbench'

/** The worker's renderer, whose answers can be held back. */
const held: (() => void)[] = []
let holding = false
const renderer = new BenchRenderer()
vi.mock('../rendering/renderer', () => ({
  benchRenderer: () => ({
    keep: async () => {},
    render: async (request: BenchRequest) => {
      if (holding) await new Promise<void>((resolve) => held.push(resolve))
      return renderer.render(request)
    },
  }),
}))

const widget = (id: string, name: string, kind = 'headlines') => ({
  id,
  kind,
  name,
  starter: null,
  draft: { settings: {}, unfinished: {}, version: 1, savedAt: '2026-11-25T12:00:00Z' },
  releases: [],
  sources: [],
  places: [],
})

/** A server whose answers wait until they are let. */
function server() {
  const waiting = new Map<string, (body: unknown) => void>()
  vi.stubGlobal('fetch', async (address: string) => {
    const body = await new Promise((resolve) => waiting.set(address, resolve))
    return { ok: true, status: 200, json: async () => body }
  })
  return async (address: string, body: unknown) => {
    await vi.waitFor(() => expect(waiting.has(address)).toBe(true))
    waiting.get(address)!(body)
    await flushPromises()
  }
}

beforeEach(() => {
  holding = false
  held.length = 0
  setActivePinia(createPinia())
})

describe('the workbench', () => {
  it('keeps what was changed on a widget that is come back to before it was read anew', async () => {
    const answer = server()
    const bench = useWorkbench()
    const first = bench.load('w1')
    await answer('/api/widgets/w1', widget('w1', 'First'))
    await first
    const again = bench.load('w1')
    bench.set('count', 7)
    await answer('/api/widgets/w1', widget('w1', 'First, renamed elsewhere'))
    await again
    expect(bench.widget?.name).toBe('First, renamed elsewhere')
    expect(bench.settings.count).toBe(7)
    expect(bench.saving.state).toBe('waiting')
  })

  it('saves what was typed: what is right as settings, what is wrong beside them, and brings both back', async () => {
    const answer = server()
    const bench = useWorkbench()
    const loaded = bench.load('w1')
    await answer('/api/widgets/w1', {
      ...widget('w1', 'First'),
      draft: {
        settings: { accent: '#17665A', count: 3, description: 'News' },
        unfinished: { description: 7, accent: '#1' },
        version: 1,
        savedAt: '',
      },
    })
    await loaded
    // Of another sort than a description: not what anybody can have typed.
    expect([bench.settings.accent, bench.settings.description]).toEqual(['#1', 'News'])
    bench.set('accent', '#12')
    bench.set('count', 7)
    expect([bench.saving.state, bench.wrong.map(({ label }) => label)]).toEqual(['waiting', ['Accent']])
    expect(bench.parsed).toMatchObject({ accent: '#17665A', count: 7 }) // what the stage draws
    const sent = vi.spyOn(globalThis, 'fetch')
    const flushed = bench.saving.flush()
    await answer('/api/widgets/w1/draft', { settings: {}, unfinished: {}, version: 2, savedAt: '' })
    await flushed
    const { settings, unfinished } = JSON.parse(sent.mock.calls[0]![1]!.body as string) as Record<string, object>
    expect(settings).toEqual({ accent: '#17665A', count: 7, description: 'News' })
    expect(unfinished).toEqual({ accent: '#12' })
    expect([bench.saving.state, bench.settings.accent]).toEqual(['saved', '#12'])
    bench.set('accent', '#123456')
    expect([bench.saving.state, bench.wrong]).toEqual(['waiting', []])
  })

  it('keeps the widget that was opened last, whichever answer comes last', async () => {
    const answer = server()
    const bench = useWorkbench()
    const [first, second] = [bench.load('w1'), bench.load('w2')]
    await answer('/api/widgets/w2', widget('w2', 'Second'))
    await second
    await answer('/api/widgets/w1', widget('w1', 'First'))
    await first
    expect(bench.widget?.name).toBe('Second')
  })

  it('shows what was rendered last, whichever rendering is done last', async () => {
    const answer = server()
    const bench = useWorkbench()
    const loaded = bench.load('w1')
    await answer('/api/widgets/w1', widget('w1', 'Counter', 'visit-counter'))
    await loaded
    holding = true
    bench.set('title', 'Older words')
    await flushPromises()
    bench.set('title', 'Newer words')
    await flushPromises()
    held[1]!()
    await flushPromises()
    expect(bench.result?.rendered.html).toContain('Newer words')
    held[0]!()
    await flushPromises()
    expect(bench.result?.rendered.html).toContain('Newer words')
  })

  it('shows the kind’s example until there is a source, and says so; a kind without sources asks for none', async () => {
    const answer = server()
    const bench = useWorkbench()
    const loaded = bench.load('w1')
    await answer('/api/widgets/w1', widget('w1', 'News'))
    await loaded
    await vi.waitFor(() => expect(bench.result).not.toBeNull())
    expect(bench.result).toMatchObject({ sample: true, sieve: null })
    expect(bench.payload?.html).toContain('The first of your headlines stands here')
    const counter = bench.load('w2')
    await answer('/api/widgets/w2', widget('w2', 'Counter', 'visit-counter'))
    await counter
    await vi.waitFor(() => expect(bench.result).not.toBeNull())
    expect(bench.sourceIds).toEqual([])
    expect(bench.result).toMatchObject({ sieve: null })
  })
})
