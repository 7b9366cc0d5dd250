/** How a snippet embeds. */
export const methods = {
  inline: {
    name: 'element and script',
    short: 'inline',
    gives: 'it keeps its own height and takes the font of the page',
  },
  frame: { name: 'frame', short: 'frame', gives: 'it works nearly anywhere, at a fixed width and height' },
} as const

export type Method = keyof typeof methods
export const methodIds = Object.keys(methods) as [Method, ...Method[]]
