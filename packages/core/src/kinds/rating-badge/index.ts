import { lookGroup } from '../groups'
import type { Kind, Settings } from '../kind'
import { sinceThemesAndLanguages } from '../of-before'
import { sample as reviews } from '../reviews/sample'
import { box } from './box'
import { badgeCss } from './css'
import { badgeHtml } from './html'
import { badgePictured } from './pictured'
import { RatingBadgeSettings, sources } from './settings'
import { badgeOf } from './view'

const isFloating = ({ stands }: Pick<RatingBadgeSettings, 'stands'>) => stands === 'left' || stands === 'right'

export const ratingBadge: Kind<RatingBadgeSettings> = {
  id: 'rating-badge',
  name: 'Rating badge',
  purpose: 'What reviews come to, as a line, a pill, a tile or a stone, in its place or over the page.',
  version: 3,
  // An address was what a click led to, whenever there was one.
  upgrade: {
    1: (stored: Settings) => ({ ...stored, click: stored.link ? 'link' : 'nothing' }),
    2: sinceThemesAndLanguages,
  },
  settings: RatingBadgeSettings,
  starters: [
    { id: 'pill', name: 'Pill', settings: {} },
    { id: 'line', name: 'Line of text', settings: { shape: 'line', label: 'Guests say' } },
    { id: 'tile', name: 'Tile', settings: { shape: 'tile', picture: true } },
    {
      id: 'corner',
      name: 'In the corner',
      settings: { stands: 'right', click: 'panel', background: '#FFFDF8', text: '#1D2B34' },
    },
  ],
  sample: reviews,
  render: (view) => ({
    html: badgeHtml(view),
    css: badgeCss(view.settings),
    font: lookGroup.font(view.settings),
    behaviours: [
      ...(view.settings.click === 'panel' ? ['panel'] : []),
      ...(isFloating(view.settings) && view.settings.closes ? ['close'] : []),
    ],
    data: {},
  }),
  content: {
    many: 'reviews',
    bodies: ['review'],
    sourceIds: sources.sourceIds,
    // The panel's reviews: what the rating comes to counts them all.
    rules: ({ click, panelCount }) =>
      click === 'panel'
        ? [{ kind: 'unique' }, { kind: 'with-text' }, { kind: 'cap', most: panelCount }]
        : [{ kind: 'cap', most: 0 }],
    order: () => 'newest',
    isEmpty: (view) => badgeOf(view) === null,
    sourcePicture: ({ picture }) => picture,
  },
  pictured: badgePictured,
  presence: (settings) => (isFloating(settings) ? { overPage: true } : null),
  box,
  parts: ['text', 'mean', 'stars', 'counts', 'picture', 'panel'],
  pairs: lookGroup.pairs,
}
