/** How a snippet's text can be set. */
export const textForms = {
  lines: { name: 'on lines of their own' },
  line: { name: 'on one line' },
  minimal: { name: 'as short as it can be' },
} as const
export type TextForm = keyof typeof textForms
