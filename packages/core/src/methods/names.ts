/** Methods as the interface calls them, best first where two fare alike. */
export const methodNames = {
  tag: { name: 'site tag', short: 'by the tag' },
  inline: { name: 'element and script', short: 'inline' },
  shortcode: { name: 'shortcode', short: 'shortcode' },
  frame: { name: 'frame', short: 'frame' },
  link: { name: 'address', short: 'address' },
  opener: { name: 'opener', short: 'opener' },
  picture: { name: 'picture', short: 'picture' },
} as const

export type MethodId = keyof typeof methodNames
export const methodIds = Object.keys(methodNames) as [MethodId, ...MethodId[]]
