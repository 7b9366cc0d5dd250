import { number } from '../setting'

/** How many items at most. */
export const amountGroup = (limits: { max: number; byDefault: number }) => ({
  shape: {
    count: number({ min: 1, ...limits }, { label: 'How many', paragraph: 'shows', before: 'Up to ', hints: ['rows'] }),
  },
})
