/** Faces that ship with Pebblestrand and may be used in widgets: id → name, CSS family, file under /fonts/. */
export const shippedFonts = {
  hyperlegible: {
    name: 'Atkinson Hyperlegible',
    family: 'Pebblestrand Hyperlegible',
    file: 'atkinson-hyperlegible-next.woff2',
    generic: 'sans-serif',
  },
  bricolage: {
    name: 'Bricolage Grotesque',
    family: 'Pebblestrand Bricolage',
    file: 'bricolage-grotesque.woff2',
    generic: 'sans-serif',
  },
  mono: { name: 'JetBrains Mono', family: 'Pebblestrand Mono', file: 'jetbrains-mono.woff2', generic: 'monospace' },
} as const

export type ShippedFont = keyof typeof shippedFonts

/** What we noted of a client site's look, to show a widget as it will stand there. */
export interface SiteLook {
  /** CSS font-family of running text and of headings. */
  bodyFont: string
  headingFont: string
  fontFaces: { family: string; src: string; weight: string }[]
  text: string
  background: string
  accent: string
  /** Width of the content column, px. */
  contentWidth: number
}
