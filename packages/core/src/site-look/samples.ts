/** What lies behind a piece of text: #rrggbb, `picture`; left out where nothing told. */
interface Behind {
  behind?: string
}

/** What a page shows of its look, as a browser has drawn it or as its style sheets say; colours #rrggbb, lengths px. */
export interface LookSamples {
  /** Of running text; `letters` is how much of it there is. */
  texts: ({ font: string; colour: string; letters: number } & Behind)[]
  headings: ({ font: string; colour: string; level: number; size: number } & Behind)[]
  /** Within words; `letters` of all links of one colour. */
  links: ({ colour: string; letters: number; where: 'text' | 'navigation' } & Behind)[]
  /** What is drawn as a button: colours, corners, how much of the page it is. */
  buttons: { ground: string; colour: string; radius: number; area: number }[]
  /** What lies behind most of the text; '' where nothing is drawn, `picture` where all of it stands on pictures. */
  ground: string
  /** Lines and bands of a colour. */
  edges: { colour: string; area: number }[]
  faces: { family: string; src: string; weight: string }[]
  /** Width of what is centred around the content; null where nothing is. */
  content: number | null
  /** Between paragraphs. */
  spacing: number | null
  /** Corners of pictures and boxes. */
  radii: number[]
}

/** One piece of a look, and where it was read. */
export interface Taken<T> {
  value: T
  from: string
}

export interface TakenLook {
  bodyFont: Taken<string> | null
  headingFont: Taken<string> | null
  text: Taken<string> | null
  background: Taken<string> | null
  accent: Taken<string> | null
  link: Taken<string> | null
  heading: Taken<string> | null
  button: Taken<string> | null
  buttonText: Taken<string> | null
  radius: Taken<number> | null
  contentWidth: Taken<number> | null
  spacing: Taken<number> | null
  /** Files of the families in use. */
  fontFaces: { family: string; src: string; weight: string }[]
}
