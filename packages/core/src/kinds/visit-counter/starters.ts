import type { Starter } from '../kind'
import type { VisitCounterSettings } from './settings'

/** Ready designs to begin from; each changes only what makes it that design. */
export const visitCounterStarters: Starter<VisitCounterSettings>[] = [
  { id: 'footer-line', name: 'Line in the footer', settings: { style: 'line', today: true, total: true } },
  {
    id: 'table',
    name: 'Small table',
    settings: { style: 'table', today: true, week: true, month: true, year: true, total: true, title: 'Visits' },
  },
  {
    id: 'framed-table',
    name: 'Framed table, light',
    settings: {
      style: 'table',
      today: true,
      last7: true,
      total: true,
      title: 'Visits',
      theme: 'light',
      borderWidth: 1,
      radius: 8,
    },
  },
  { id: 'digits', name: 'Row of digits', settings: { style: 'digits', today: false, total: true, title: 'Visitors' } },
]
