import { arrangementGroup, datesGroup, lookGroup, sieveGroup } from '../groups'
import type { Kind } from '../kind'
import { sinceThemesAndLanguages } from '../of-before'
import { box } from './box'
import { headlinesCss } from './css'
import { headlinesHtml } from './html'
import { sample } from './sample'
import { HeadlinesSettings, sources } from './settings'
import { headlinesPictured } from './pictured'
import { headlinesStarters } from './starters'

export const headlines: Kind<HeadlinesSettings> = {
  id: 'headlines',
  name: 'Headlines',
  purpose: 'The newest entries of a news feed or blog, as a list, a grid or a row to move along.',
  version: 2,
  upgrade: { 1: sinceThemesAndLanguages },
  settings: HeadlinesSettings,
  starters: headlinesStarters,
  sample,
  render: (view) => ({
    html: headlinesHtml(view),
    css: headlinesCss(view.settings),
    font: lookGroup.font(view.settings),
    behaviours: [...arrangementGroup.behaviours(view.settings), ...datesGroup.behaviours(view.settings)],
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
  pictured: headlinesPictured,
  box,
  parts: ['heading', 'description', 'list', 'item', 'picture', 'title', 'text', 'meta', 'date', 'link', 'button'],
  pairs: lookGroup.pairs,
}
