/** Pictures of an install, for places that take nothing else: made only where one is asked for. By form, its content type. */
export const stillForms = {
  still: 'image/png',
  /** At twice the size, for screens that show more. */
  'still-2': 'image/png',
  'still-svg': 'image/svg+xml',
} as const

export type StillForm = keyof typeof stillForms
