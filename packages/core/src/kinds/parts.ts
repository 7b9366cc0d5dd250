/** Pieces that own CSS can name as `::part(name)`, in any kind that has them. A name once shipped keeps its meaning. */
export const partNames = {
  widget: 'all of it',
  heading: 'its heading',
  description: 'the words below the heading',
  list: 'the list of items',
  item: 'one item',
  picture: 'a picture',
  title: 'the title of an item',
  text: 'longer text',
  caption: 'a caption below a picture',
  meta: 'small print of an item: author, source, date',
  date: 'a date',
  source: 'where it was written',
  link: 'a link',
  button: 'a button',
  stars: 'a row of stars',
  mean: 'the mean as a number',
  counts: 'how many there are',
  summary: 'what the ratings come to',
  bars: 'how many have how many stars',
  phrases: 'what many say',
  answer: 'the owner’s answer',
  face: 'the picture of a person',
  name: 'a name',
  handle: 'a handle',
  profile: 'who a source is of',
  layer: 'what lies over a picture under the pointer',
  mark: 'a mark on a picture',
  length: 'how long a film is',
  row: 'a row of numbers',
  digits: 'numbers drawn as digits',
  panel: 'the panel that a badge opens',
  close: 'the button that closes it',
  countdown: 'how long it is until then',
  form: 'all that is filled in',
  field: 'one field with its words',
  label: 'the words of a field',
  input: 'what is typed or chosen',
  credit: 'the agency’s line',
} as const
export type PartName = keyof typeof partNames

/** Variables that own CSS may use and set. */
export const cssVariables = {
  '--text': 'the colour of text',
  '--background': 'the background',
  '--accent': 'the accent',
  '--hover': 'links under the pointer',
  '--border': 'the border',
  '--star': 'stars',
  '--button': 'the ground of buttons',
  '--button-text': 'words on buttons',
  '--button-edge': 'the edge of buttons',
} as const

/** The parts that a kind has, each in words. */
export const partsOf = ({ parts }: { parts: readonly PartName[] }): Partial<Record<PartName, string>> =>
  Object.fromEntries((['widget', ...parts, 'link', 'credit'] as const).map((name) => [name, partNames[name]]))
