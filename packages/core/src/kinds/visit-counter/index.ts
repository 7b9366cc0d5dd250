import { lookGroup } from '../groups'
import type { Kind } from '../kind'
import { sinceThemesAndLanguages } from '../of-before'
import { box } from './box'
import { visitCounterCss } from './css'
import { visitCounterHtml } from './html'
import { counterPictured } from './pictured'
import { VisitCounterSettings } from './settings'
import { visitCounterStarters } from './starters'

export const visitCounter: Kind<VisitCounterSettings> = {
  id: 'visit-counter',
  name: 'Visit counter',
  purpose: 'Visits to the page it stands on, counted here without cookies.',
  version: 2,
  upgrade: { 1: (stored: Record<string, unknown>) => sinceThemesAndLanguages(stored, 'names') },
  settings: VisitCounterSettings,
  starters: visitCounterStarters,
  sample: () => ({
    items: [],
    facts: {
      visits: {
        today: '2026-11-25',
        days: {
          '2026-11-25': 38,
          '2026-11-24': 64,
          '2026-11-23': 51,
          '2026-11-20': 47,
          '2026-11-02': 210,
          '2026-06-01': 8730,
        },
        total: 21_904,
      },
    },
  }),
  render: (view) => ({
    html: visitCounterHtml(view),
    css: visitCounterCss(view.settings),
    font: lookGroup.font(view.settings),
    behaviours: ['count'],
    data: {},
  }),
  pictured: counterPictured,
  box,
  facts: ['visits'],
  parts: ['heading', 'row', 'digits'],
  pairs: (settings, site) => [...lookGroup.pairs(settings, site), ...lookGroup.accentAsText(settings, site)],
}
