/** What the list of widgets can be narrowed by, as the address names it. */
export const filterNames = ['kind', 'client', 'state', 'use'] as const

export const states = {
  draft: 'not published yet',
  changed: 'changed since its release',
  published: 'as published',
  away: 'put away',
} as const
export const uses = { used: 'stands somewhere', unused: 'stands nowhere' } as const
