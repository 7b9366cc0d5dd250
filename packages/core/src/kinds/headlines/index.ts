import { arrangementGroup, lookGroup, sieveGroup } from '../groups'
import type { Kind } from '../kind'
import { box } from './box'
import { headlinesCss } from './css'
import { headlinesHtml } from './html'
import { sample } from './sample'
import { HeadlinesSettings, sources } from './settings'
import { headlinesStarters } from './starters'

export const headlines: Kind<HeadlinesSettings> = {
  id: 'headlines',
  name: 'Headlines',
  purpose: 'The newest entries of a news feed or blog, as a list, a grid or a row to move along.',
  version: 1,
  upgrade: {},
  settings: HeadlinesSettings,
  starters: headlinesStarters,
  sample,
  render: (view) => ({
    html: headlinesHtml(view),
    css: headlinesCss(view.settings),
    font: lookGroup.font(view.settings),
    behaviours: arrangementGroup.behaviours(view.settings),
    data: arrangementGroup.data(view.settings),
  }),
  content: {
    many: 'headlines',
    bodies: ['article'],
    sourceIds: sources.sourceIds,
    rules: sieveGroup.rules,
    order: sieveGroup.order,
    pictures: ({ picture }) => (picture === 'none' ? [] : ['item']),
    loosened: sieveGroup.loosened,
  },
  box,
  colours: lookGroup.colours,
}
