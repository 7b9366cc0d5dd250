import { choice } from '../setting'

/** What a click on an item does. */
export const clickGroup = {
  shape: {
    target: choice({ same: 'the same tab', new: 'a new tab' }, 'same', {
      label: 'Where a click opens',
      paragraph: 'click',
      before: 'It opens the original in ',
    }),
  },
  /** Attributes of a link; out of any frame the widget may stand in. */
  attributes: ({ target }: { target: 'same' | 'new' }) =>
    target === 'new' ? 'target="_blank" rel="noopener"' : 'target="_top"',
}
