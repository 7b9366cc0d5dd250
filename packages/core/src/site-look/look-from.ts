import { distance, toOklch } from '../look'
import type { LookSamples, Taken, TakenLook } from './samples'

/** The value that most weighs for; null of none. */
function heaviest<T>(some: readonly T[], key: (one: T) => string, weight: (one: T) => number): T | null {
  const sums = new Map<string, { one: T; sum: number }>()
  for (const one of some) {
    const known = sums.get(key(one)) ?? { one, sum: 0 }
    known.sum += weight(one)
    sums.set(key(one), known)
  }
  return [...sums.values()].sort((a, b) => b.sum - a.sum)[0]?.one ?? null
}

/** Two colours closer than this look alike side by side (deltaEOK). */
const ALIKE = 0.02
const areAlike = (a: string, b: string) => distance(a, b) < ALIKE
/** Less chroma than this is a grey (OKLCH). */
const GREY = 0.04

const taken = <T>(value: T | null | undefined, from: string): Taken<T> | null =>
  value === null || value === undefined || value === '' ? null : { value, from }

/**
 * A look from what a page shows: of each piece what most of the page has. The accent is what sets links apart from the text, else
 * the ground of its buttons, else the colour of its lines and bands.
 */
export function lookFrom({
  texts,
  headings,
  links,
  buttons,
  ground,
  edges,
  faces,
  content,
  spacing,
  radii,
}: LookSamples): TakenLook {
  const text = heaviest(
    texts,
    ({ font, colour }) => `${font} ${colour}`,
    ({ letters }) => letters,
  )
  const first = [...headings].sort((a, b) => a.level - b.level)
  const heading = heaviest(
    first,
    ({ font, colour }) => `${font} ${colour}`,
    ({ level }) => 1 / level,
  )
  const background = ground || '#ffffff'
  const inText = heaviest(
    links.filter(({ where }) => where === 'text'),
    ({ colour }) => colour,
    ({ letters }) => letters,
  )
  const link =
    inText ??
    heaviest(
      links,
      ({ colour }) => colour,
      ({ letters }) => letters,
    )
  const button = heaviest(
    buttons.filter(({ ground: own }) => own && !areAlike(own, background)),
    ({ ground: own }) => own,
    ({ area }) => area,
  )
  const fonts = new Set([text, heading].flatMap((one) => (one ? familiesOf(one.font) : [])))
  return {
    bodyFont: taken(text?.font, 'its running text'),
    headingFont: heading ? taken(heading.font, `its h${heading.level}`) : null,
    text: taken(text?.colour, 'its running text'),
    background: taken(background, ground ? 'what lies behind its text' : 'no background of its own: white'),
    accent: accentOf({ text: text?.colour ?? '', background, link: link?.colour, button: button?.ground, edges }),
    link: taken(link?.colour, inText ? 'links in its text' : 'its navigation'),
    heading: heading ? taken(heading.colour, `its h${heading.level}`) : null,
    button: taken(button?.ground, 'its buttons'),
    buttonText: taken(button?.colour, 'words on its buttons'),
    radius: button
      ? taken(button.radius, 'corners of its buttons')
      : taken(middle(radii), 'corners of its pictures and boxes'),
    contentWidth: taken(content, 'what is centred around its content'),
    spacing: taken(spacing, 'between its paragraphs'),
    fontFaces: faces.filter(({ family }) => fonts.has(family.toLowerCase())),
  }
}

interface Accents {
  text: string
  background: string
  link: string | undefined
  button: string | undefined
  edges: LookSamples['edges']
}

function accentOf({ text, background, link, button, edges }: Accents): Taken<string> | null {
  const stands = (colour: string | undefined): colour is string =>
    Boolean(colour) && !areAlike(colour!, background) && (!text || !areAlike(colour!, text))
  if (stands(link)) return { value: link, from: 'its links' }
  if (stands(button)) return { value: button, from: 'its buttons' }
  const edge = heaviest(
    edges.filter(({ colour }) => stands(colour) && toOklch(colour).c > GREY),
    ({ colour }) => colour,
    ({ area }) => area,
  )
  return edge ? { value: edge.colour, from: 'its lines and bands' } : null
}

/** Family names of a CSS font-family, in small letters. */
const familiesOf = (font: string) =>
  font.split(',').map((one) =>
    one
      .trim()
      .replace(/^["']|["']$/g, '')
      .toLowerCase(),
  )

const middle = (numbers: readonly number[]) =>
  numbers.length ? [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)]! : null
