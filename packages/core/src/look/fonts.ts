/** The part of Unicode that a file of a face covers, as the faces' publisher cuts them (`unicode.json` of each package). */
const subsets = {
  latin:
    'U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD',
  'latin-ext':
    'U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF',
  greek: 'U+0370-0377,U+037A-037F,U+0384-038A,U+038C,U+038E-03A1,U+03A3-03FF',
  cyrillic: 'U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116',
} as const
export type FontSubset = keyof typeof subsets

/** A shipped face to load into a page's document, since shadow roots cannot bring one. */
export interface ShippedFace {
  family: string
  generic: string
  /** Of the letters most pages use; under /fonts/. */
  file: string
  range: string
  /** Of other letters; each is loaded only where one of them stands. */
  more: { file: string; range: string }[]
}

const font = (name: string, source: string, generic: string, ...beside: FontSubset[]) => ({
  name,
  source,
  family: `Pebblestrand ${name}`,
  generic,
  subsets: ['latin', 'latin-ext', ...beside] as FontSubset[],
})

/** Faces that ship with Pebblestrand and may be used in widgets; `source` is the package that the files are from. */
export const shippedFonts = {
  hyperlegible: font('Atkinson Hyperlegible', 'atkinson-hyperlegible-next', 'sans-serif'),
  bricolage: font('Bricolage Grotesque', 'bricolage-grotesque', 'sans-serif'),
  commissioner: font('Commissioner', 'commissioner', 'sans-serif', 'greek', 'cyrillic'),
  manrope: font('Manrope', 'manrope', 'sans-serif', 'greek', 'cyrillic'),
  geologica: font('Geologica', 'geologica', 'sans-serif', 'greek', 'cyrillic'),
  comfortaa: font('Comfortaa', 'comfortaa', 'sans-serif', 'greek', 'cyrillic'),
  'source-serif': font('Source Serif', 'source-serif-4', 'serif', 'greek', 'cyrillic'),
  literata: font('Literata', 'literata', 'serif', 'greek', 'cyrillic'),
  alegreya: font('Alegreya', 'alegreya', 'serif', 'greek', 'cyrillic'),
  'roboto-slab': font('Roboto Slab', 'roboto-slab', 'serif', 'greek', 'cyrillic'),
  mono: font('JetBrains Mono', 'jetbrains-mono', 'monospace', 'greek', 'cyrillic'),
} as const

export type ShippedFont = keyof typeof shippedFonts

/** What one face cuts otherwise: it has currency signs that others have not. */
const otherwise: Partial<Record<string, Partial<Record<FontSubset, string>>>> = {
  'source-serif-4': { 'latin-ext': subsets['latin-ext'].replace('U+20AD-20C0', 'U+20AD-20C4') },
}

/** A face's file for some letters, as its package names it. */
const fileOf = (source: string, subset: FontSubset) => `${source}-${subset}-wght-normal.woff2`

/** What a page loads for a face. */
export function shippedFace(id: ShippedFont): ShippedFace {
  const { family, generic, source, subsets: covered } = shippedFonts[id]
  const [first, ...more] = covered.map((subset) => ({
    file: fileOf(source, subset),
    range: otherwise[source]?.[subset] ?? subsets[subset],
  }))
  return { family, generic, ...first!, more }
}
