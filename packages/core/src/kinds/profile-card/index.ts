import type { Rule } from '../../sieve'
import { lookGroup } from '../groups'
import type { Kind } from '../kind'
import { sinceThemesAndLanguages } from '../of-before'
import { sample as posts } from '../photo-wall/sample'
import { box } from './box'
import { cardCss } from './css'
import { cardHtml } from './html'
import { ProfileCardSettings, sources } from './settings'
import { cardOf } from './view'

export const profileCard: Kind<ProfileCardSettings> = {
  id: 'profile-card',
  name: 'Profile card',
  purpose: 'Who somebody is at a photo or video service: picture, name, numbers, a button, and the newest posts.',
  version: 2,
  upgrade: { 1: sinceThemesAndLanguages },
  settings: ProfileCardSettings,
  starters: [
    { id: 'card', name: 'Card with three posts', settings: {} },
    { id: 'line', name: 'In a line, without posts', settings: { arranged: 'line', count: 0, faceSize: 64 } },
    {
      id: 'framed',
      name: 'Framed, with a shadow',
      settings: { count: 0, borderWidth: 1, shadow: 'soft', radius: 12, theme: 'light' },
    },
    { id: 'six-posts', name: 'Card with six posts', settings: { count: 6, bio: false } },
  ],
  sample: posts,
  render(view) {
    const card = cardOf(view)
    return {
      html: cardHtml(view, card),
      css: cardCss(view.settings),
      font: lookGroup.font(view.settings),
      behaviours: [],
      data: {},
    }
  },
  content: {
    many: 'posts',
    bodies: ['post', 'video'],
    sourceIds: sources.sourceIds,
    rules: ({ count }): Rule[] => [{ kind: 'unique' }, { kind: 'with-picture' }, { kind: 'cap', most: count }],
    order: () => 'newest',
    pictures: ({ count }) => (count > 0 ? ['item'] : []),
    sourcePicture: ({ face }) => face,
    // A card without posts is a card all the same.
    isEmpty: (view) => {
      const { profile, posts: some } = cardOf(view)
      return !profile && !some.length
    },
  },
  box,
  parts: ['profile', 'face', 'name', 'handle', 'text', 'counts', 'button', 'list', 'item', 'picture'],
  pairs: lookGroup.pairs,
}
