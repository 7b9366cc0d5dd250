import type { PayloadBase } from '@pebblestrand/core/kinds'

/** What a payload becomes: strings, the same for script, frame, preview and thumbnail. */
export interface Rendered {
  html: string
  css: string
  /** Shipped font to load into the page's document, since shadow roots cannot; null for the page's own. */
  font: { family: string; file: string } | null
}

export type Renderer<P extends PayloadBase> = (payload: P) => Rendered
