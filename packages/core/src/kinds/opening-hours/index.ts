import { lookGroup } from '../groups'
import type { Kind } from '../kind'
import { box } from './box'
import { openingHoursCss } from './css'
import { openingHoursHtml } from './html'
import { openNowData } from './open-now-data'
import { openingHoursPictured } from './pictured'
import { OpeningHoursSettings } from './settings'
import { hoursOf } from './view'

export type { OpenNowData } from './open-now-data'

export const openingHours: Kind<OpeningHoursSettings> = {
  id: 'opening-hours',
  name: 'Opening hours',
  purpose: 'The week as a table, or whether it is open now and until when, with holidays.',
  version: 1,
  upgrade: {},
  settings: OpeningHoursSettings,
  starters: [
    { id: 'table', name: 'Table of the week', settings: {} },
    { id: 'line', name: 'Open now, in a line', settings: { style: 'line' } },
    { id: 'badge', name: 'Open now, as a badge', settings: { style: 'badge' } },
    {
      id: 'framed',
      name: 'Every day in its row, framed',
      settings: { joined: false, title: 'Opening hours', theme: 'light', borderWidth: 1, radius: 8 },
    },
  ],
  sample: () => ({ items: [], facts: {} }),
  render(view) {
    const data = openNowData(view)
    return {
      html: openingHoursHtml(view),
      css: openingHoursCss(view.settings),
      font: lookGroup.font(view.settings),
      behaviours: data ? ['open-now'] : [],
      data: data ? { openNow: data } : {},
    }
  },
  content: {
    many: 'opening hours',
    bodies: [],
    facts: ['hours'],
    sourceIds: ({ sources }) => sources,
    rules: () => [],
    order: () => 'newest',
    isWritten: ({ sources }) => sources.length === 0,
    isEmpty: (view) => hoursOf(view) === null,
  },
  pictured: openingHoursPictured,
  box,
  parts: ['heading', 'text', 'list', 'item', 'name'],
  pairs: lookGroup.pairs,
}
