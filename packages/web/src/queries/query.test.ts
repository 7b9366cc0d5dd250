// @vitest-environment happy-dom
import { routes } from '@pebblestrand/contract'
import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import { queryClient, useAsk } from './query'

/** A server whose answers wait until they are let, each by its address. */
function server() {
  const waiting = new Map<string, (body: unknown) => void>()
  vi.stubGlobal('fetch', async (address: string) => {
    const body = await new Promise((resolve) => waiting.set(address, resolve))
    return { ok: true, status: 200, json: async () => body }
  })
  return {
    asked: () => [...waiting.keys()],
    async answer(part: string, body: unknown) {
      const address = [...waiting.keys()].find((one) => one.includes(part))!
      waiting.get(address)!(body)
      await flushPromises()
    },
  }
}
const list = (name: string) => ({ rows: [{ id: name, name }], total: 1, page: 1, size: 50 })

beforeEach(() => queryClient.clear())
afterEach(() => vi.unstubAllGlobals())

describe('a late answer', () => {
  const filtered = (words: { value: string }, keep: boolean) =>
    mount(
      defineComponent(() => {
        const { data } = useAsk(routes.sites.list, () => ({ query: { q: words.value } }), { keep })
        return () =>
          h('p', (data.value?.rows as { name: string }[] | undefined)?.map((row) => row.name).join() ?? 'nothing')
      }),
      { global: { plugins: [[VueQueryPlugin, { queryClient }]] } },
    )

  it('never replaces a newer one: a list shows what it is filtered by', async () => {
    const { answer } = server()
    const words = ref('old')
    const wrapper = filtered(words, true)
    await flushPromises()
    words.value = 'new'
    await flushPromises()
    await answer('q=new', list('new rows'))
    expect(wrapper.text()).toBe('new rows')
    await answer('q=old', list('old rows'))
    expect(wrapper.text()).toBe('new rows')
  })
  it('of another thing is not shown in its place', async () => {
    const { answer } = server()
    const words = ref('first')
    const wrapper = filtered(words, false)
    await flushPromises()
    await answer('q=first', list('first'))
    expect(wrapper.text()).toBe('first')
    words.value = 'second'
    await flushPromises()
    expect(wrapper.text()).toBe('nothing')
    await answer('q=second', list('second'))
    expect(wrapper.text()).toBe('second')
  })
  it('is shared: who asks the same asks once', async () => {
    const { asked, answer } = server()
    const words = ref('same')
    const both = [filtered(words, false), filtered(words, false)]
    await flushPromises()
    expect(asked()).toHaveLength(1)
    await answer('q=same', list('rows'))
    expect(both.map((one) => one.text())).toEqual(['rows', 'rows'])
  })
})
