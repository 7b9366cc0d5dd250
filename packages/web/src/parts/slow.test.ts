import { describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, ref } from 'vue'
import { useSlow } from './slow'

describe('what takes long', () => {
  it('is said after half a second, and no longer once it is through', async () => {
    vi.useFakeTimers()
    const busy = ref(true)
    const scope = effectScope()
    const slow = scope.run(() => useSlow(() => busy.value))!
    vi.advanceTimersByTime(490)
    expect(slow.value).toBe(false)
    vi.advanceTimersByTime(20)
    expect(slow.value).toBe(true)
    busy.value = false
    await nextTick()
    expect(slow.value).toBe(false)
    busy.value = true
    await nextTick()
    scope.stop()
    vi.advanceTimersByTime(1000)
    expect(slow.value).toBe(false)
    vi.useRealTimers()
  })
})
