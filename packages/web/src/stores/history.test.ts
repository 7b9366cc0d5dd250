import { describe, expect, it } from 'vitest'
import { useHistory } from './history'

describe('steps back and forward', () => {
  let clock = 0
  const history = () => useHistory<number>(() => clock)
  it('goes back through every change and forward again', () => {
    const steps = history()
    let value = 0
    for (const next of [1, 2, 3]) {
      steps.before(value, `setting ${next}`)
      value = next
    }
    const seen = [value]
    for (let one = steps.back(value); one !== null; one = steps.back(value)) seen.push((value = one))
    expect(seen).toEqual([3, 2, 1, 0])
    for (let one = steps.forward(value); one !== null; one = steps.forward(value)) seen.push((value = one))
    expect(seen).toEqual([3, 2, 1, 0, 1, 2, 3])
  })
  it('takes changes of one setting in quick succession for one step, and later ones for another', () => {
    const steps = history()
    steps.before(0, 'gap')
    clock += 100
    steps.before(1, 'gap')
    clock += 5000
    steps.before(2, 'gap')
    expect(steps.back(3)).toBe(2)
    expect(steps.back(2)).toBe(0)
    expect(steps.back(0)).toBeNull()
  })
  it('a new change ends what could be gone forward to', () => {
    const steps = history()
    steps.before(0, 'a')
    expect(steps.back(1)).toBe(0)
    expect(steps.canGoForward.value).toBe(true)
    steps.before(0, 'b')
    expect(steps.forward(9)).toBeNull()
  })
})
