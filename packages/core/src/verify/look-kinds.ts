/** Ways of looking at a page by fetching it, oldest state first: what a later one shows may not have reached visitors yet. */
const plain = {
  served: { name: 'as served', doing: 'Reading the page as visitors get it', pastCache: false },
  fresh: { name: 'past the cache', doing: 'Reading the page past its cache', pastCache: true },
} as const

/** Where an editor's preview can be seen: read where the agency gave its address. */
const asEditor = {
  preview: { name: 'at its preview address', doing: 'Reading the page at its preview address', pastCache: false },
} as const

/** Ways of looking at it in a browser, by the px of its window; common widths of phones, tablets and desktops. */
const inBrowser = {
  phone: {
    name: 'on a phone',
    doing: 'Looking at it on a phone',
    pastCache: false,
    window: { width: 390, height: 844 },
  },
  tablet: {
    name: 'on a tablet',
    doing: 'Looking at it on a tablet',
    pastCache: false,
    window: { width: 768, height: 1024 },
  },
  desktop: {
    name: 'on a desktop',
    doing: 'Looking at it on a desktop',
    pastCache: false,
    window: { width: 1280, height: 800 },
  },
} as const

/** Px of a page, from its top, that are in its picture at most. */
export const PICTURE_TALLEST = 4000

export const lookKinds = { ...plain, ...asEditor, ...inBrowser } as const

export type PlainLookId = keyof typeof plain
export type BrowserLookId = keyof typeof inBrowser
export type LookId = keyof typeof lookKinds
export const lookIds = Object.keys(lookKinds) as [LookId, ...LookId[]]
export const plainLookIds = Object.keys(plain) as [PlainLookId, ...PlainLookId[]]
export const browserLookIds = Object.keys(inBrowser) as [BrowserLookId, ...BrowserLookId[]]
export const isBrowserLook = (how: LookId): how is BrowserLookId => how in inBrowser
