import { decide, NOTHING_DONE, PresenceRules, rememberSeen } from '@pebblestrand/core/presence'
import { compared, type Ratio } from './stand'

/** Deciding for 100 widgets over one page, against a bare loop over them that reads as much. */
export function deciding(): Ratio {
  const now = new Date('2026-11-27T10:30:00Z')
  const candidates = Array.from({ length: 100 }, (_, i) => ({
    id: `w${i}`,
    rules: PresenceRules.parse({
      triggers: [
        { on: 'seconds', seconds: 5 + (i % 40) },
        { on: 'scrolled', share: 50 },
      ],
      priority: i % 10,
      audience: {
        pages: ['/news/*', '/'],
        notPages: ['/news/old'],
        days: [1, 2, 3, 4, 5],
        hours: { from: '08:00', until: '20:00' },
      },
    }),
  }))
  const moment = {
    visitor: { device: 'desktop' as const, languages: ['en-GB'], country: null },
    arrival: { path: '/news/one', query: '', fragment: '', referrer: '', timeZone: 'Atlantic/Faroe' },
    progress: { ...NOTHING_DONE, seconds: 20, scrolled: 40, hasDone: true },
    memory: rememberSeen(null, now),
    open: [],
    shown: [],
    now,
  }
  const bare = (): number => {
    let sum = 0
    for (let round = 0; round < 20; round++)
      for (const { id, rules } of candidates) {
        const { pages, notPages, days, devices, hours } = rules.audience
        for (const one of [...pages, ...notPages])
          if (new RegExp(one.replace('*', '.*'), 'u').test(moment.arrival.path)) sum++
        if (days.includes(5) && devices.includes('desktop') && hours) sum += id.length
      }
    return sum
  }
  const { one, other, ratio } = compared(() => {
    for (let round = 0; round < 20; round++) decide(candidates, moment)
  }, bare)
  return {
    name: 'deciding for 100 widgets over a page',
    measured: `${(one / 20).toFixed(2)} ms`,
    against: `a bare loop that reads their rules: ${(other / 20).toFixed(2)} ms`,
    ratio,
    wants: { most: 10 },
  }
}
