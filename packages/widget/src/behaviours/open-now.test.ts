// @vitest-environment happy-dom
import { OpeningHours, readHours } from '@pebblestrand/core/hours'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { BehaviourContext } from '../behaviour'
import openNow from './open-now'

const words = {
  openUntil: 'Open until {time}',
  alwaysOpen: 'Always open',
  opensToday: 'Closed, opens at {time}',
  opensTomorrow: 'Closed, opens tomorrow at {time}',
  opensOn: 'Closed, opens {day} at {time}',
  closedTodayOpensOn: 'Closed today, opens {day} at {time}',
  closed: 'Closed',
}
const nine = readHours('9-17')
const hours = OpeningHours.parse({
  week: [nine, nine, nine, nine, nine, [], []],
  special: [{ from: '2026-12-03', until: '', name: 'A feast', spans: [] }],
})

function start(html: string) {
  const root = document.createElement('div')
  root.innerHTML = html
  const data = { openNow: { hours, timeZone: 'Atlantic/Faroe', locale: 'en-GB', words } }
  return { root, stop: openNow({ root, data } as unknown as BehaviourContext) as () => void }
}
const line = '<p data-open-now>Monday – Friday 09:00–17:00</p>'
const table = `<table><tbody><tr data-first="1" data-last="5"></tr><tr data-first="6" data-last="7"></tr></tbody>
<tbody><tr data-from="2026-11-30" data-until="2026-12-01"></tr><tr data-from="2026-12-03" data-until="2026-12-03"></tr></tbody></table>`

describe('whether it is open now', () => {
  // 2 December 2026 is a Wednesday; clocks there show what UTC does.
  beforeEach(() => vi.useFakeTimers({ now: new Date('2026-12-02T16:59:30Z') }))
  afterEach(() => vi.useRealTimers())

  it('is said at once, and again when it changes while the page is open', () => {
    const { root, stop } = start(line)
    const said = root.querySelector<HTMLElement>('p')!
    expect([said.textContent, said.dataset.openNow]).toEqual(['Open until 17:00', 'open'])
    vi.advanceTimersByTime(60_000)
    expect([said.textContent, said.dataset.openNow]).toEqual(['Closed, opens Friday at 09:00', 'closed'])
    stop()
    vi.setSystemTime(new Date('2026-12-04T10:00:00Z'))
    vi.advanceTimersByTime(60_000)
    expect(said.textContent).toBe('Closed, opens Friday at 09:00')
  })
  it('today’s row is marked, a special day before the weekday; days that are over go', () => {
    const { root } = start(table)
    const marked = () =>
      [...root.querySelectorAll('[aria-current=date]')].map((row) => ({ ...(row as HTMLElement).dataset }))
    expect(root.querySelectorAll('[data-until]')).toHaveLength(1)
    expect(marked()).toEqual([{ first: '1', last: '5' }])
    vi.advanceTimersByTime(24 * 60 * 60_000)
    expect(marked()).toEqual([{ from: '2026-12-03', until: '2026-12-03' }])
  })
})
