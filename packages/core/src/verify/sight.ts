/** What a browser saw of a page at one width of its window. Px are those of the page, from its top left. */
export interface Sight {
  /** Of the window. */
  width: number
  /** Of the whole page. */
  height: number
  /** Whether the page scrolls sideways, and whether it would not without what is ours. */
  sideways: boolean
  sidewaysByUs: boolean
  widgets: WidgetSight[]
  /** Messages of errors that our code threw. */
  errors: string[]
  /** What the page's policy stopped: the directive, and the address. */
  violations: { directive: string; blocked: string }[]
  /** Requests to this Pebblestrand that were not answered well. */
  failed: { url: string; problem: string }[]
  /** What a banner that asks for the visitor's agreement begins with; null where none is shown. */
  consent: string | null
  /** What came of trying out what stands over the page, by its install; left out where nothing was tried. */
  tried?: PresenceSight[]
}

/** What is tried of something over a page: that it appears, can be closed by key, stays away where it should. */
export type Trial =
  'appears' | 'closes' | 'stays-closed' | 'not-on-phones' | 'not-outside' | 'not-elsewhere' | 'leaves-consent'

/** What came of it. */
export interface PresenceSight {
  id: string
  trials: {
    trial: Trial
    /** Null where it could not be tried. */
    well: boolean | null
    /** How it was tried, as a clause: "after 20 s on the page". */
    how: string
  }[]
}

/** What keeps a copy from being seen. */
export type Unseen = 'not-displayed' | 'no-size' | 'covered' | 'clipped'

/** A box of what a copy stands in. */
export interface AroundBox {
  x: number
  y: number
  width: number
  height: number
  /** Px that it leaves to what is in it; looks of before did not say. */
  content?: number
}

/** One copy of an install, as a browser drew it. */
export interface WidgetSight {
  id: string
  method: 'inline' | 'frame' | 'opener' | 'picture'
  /** Its content is there; after so many ms of the page's time. */
  ready: boolean
  readyMs: number | null
  release: number | null
  /** Lists it has, the items in them, and letters. */
  lists: number
  items: number
  letters: number
  box: { x: number; y: number; width: number; height: number }
  unseen: Unseen | null
  /** What lies over it. */
  coveredBy: string | null
  /** Its content is wider than its own place. */
  overflows: boolean
  /** Whether it stands in the narrower of two columns that lie side by side; null where it lies beside nothing. */
  beside: 'narrower' | 'wider' | null
  /** How far it made the page jump (Layout Instability, a score). */
  shift: number
  /** Addresses that it links to. */
  links: string[]
  /** Of those, the ones that were asked for and lead nowhere. */
  broken?: { url: string; problem: string }[]
  /** Boxes of what it stands in, from the nearest outwards. */
  around?: AroundBox[]
  /** Px: how high the frame of the page is that it stands in, and how high it would have to be; left out where all of it fits. */
  framed?: { height: number; needs: number }
  /** Px that what it stands in leaves it; looks of before did not say. */
  room?: number | null
}
