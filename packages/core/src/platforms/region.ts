/** The regions of a page that can hold a widget. */
export const regions = {
  header: { name: 'header', order: 0 },
  main: { name: 'main', order: 1 },
  sidebar: { name: 'sidebar', order: 2 },
  footer: { name: 'footer', order: 3 },
} as const

export type Region = keyof typeof regions
export const regionIds = Object.keys(regions) as [Region, ...Region[]]
