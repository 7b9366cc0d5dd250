import { lookGroup } from '../groups'
import type { Kind } from '../kind'
import { sample as reviews } from '../reviews/sample'
import { box } from './box'
import { badgeCss } from './css'
import { badgeHtml } from './html'
import { badgeOf } from './view'
import { RatingBadgeSettings, sources } from './settings'

export const ratingBadge: Kind<RatingBadgeSettings> = {
  id: 'rating-badge',
  name: 'Rating badge',
  purpose: 'What reviews come to, as a line, a pill or a tile.',
  version: 1,
  upgrade: {},
  settings: RatingBadgeSettings,
  starters: [
    { id: 'pill', name: 'Pill', settings: {} },
    { id: 'line', name: 'Line of text', settings: { shape: 'line', label: 'Guests say' } },
    { id: 'tile', name: 'Tile', settings: { shape: 'tile' } },
  ],
  sample: reviews,
  render: (view) => ({
    html: badgeHtml(view),
    css: badgeCss(view.settings),
    font: lookGroup.font(view.settings),
    behaviours: [],
    data: {},
  }),
  content: {
    many: 'reviews',
    bodies: ['review'],
    sourceIds: sources.sourceIds,
    rules: () => [],
    order: () => 'as-given',
    isEmpty: (view) => badgeOf(view) === null,
  },
  box,
  colours: lookGroup.colours,
}
