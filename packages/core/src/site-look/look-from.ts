import { contrast, distance, toOklch } from '../look'
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

/** A piece of text, and what lies behind it. */
type Piece = { colour: string; behind?: string }

/** Two colours closer than this look alike side by side (deltaEOK). */
const ALIKE = 0.02
const areAlike = (a: string, b: string) => distance(a, b) < ALIKE
/** Contrast below which nobody reads a word: it stands on something that was not seen, a film or a picture laid under it. */
const UNREADABLE = 1.5
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
  const background = ground && ground !== 'picture' ? ground : '#ffffff'
  /** What stands on a band or a picture of its own is coloured for that, not for the page. */
  const isOnGround = ({ behind, colour }: Piece) =>
    behind === undefined ||
    (behind !== 'picture' && areAlike(behind, background) && contrast(colour, behind) >= UNREADABLE)
  const onGround = <T extends Piece>(some: readonly T[]): readonly T[] => {
    const there = some.filter(isOnGround)
    return there.length ? there : some
  }
  const text = heaviest(
    onGround(texts),
    ({ font, colour }) => `${font} ${colour}`,
    ({ letters }) => letters,
  )
  const first = [...onGround(headings)].sort((a, b) => a.level - b.level)
  const heading = heaviest(
    first,
    ({ font, colour }) => `${font} ${colour}`,
    ({ level }) => 1 / level,
  )
  const inText = heaviest(
    onGround(links).filter(({ where }) => where === 'text'),
    ({ colour }) => colour,
    ({ letters }) => letters,
  )
  const link =
    inText ??
    heaviest(
      onGround(links),
      ({ colour }) => colour,
      ({ letters }) => letters,
    )
  const anyLink = heaviest(
    links.filter(({ colour }) => toOklch(colour).c > GREY),
    ({ colour }) => colour,
    ({ letters }) => letters,
  )
  const button = heaviest(
    buttons.filter(({ ground: own }) => own && !areAlike(own, background)),
    ({ ground: own }) => own,
    ({ area }) => area,
  )
  const isGroundSeen = ground !== 'picture' && !(text && contrast(text.colour, background) < UNREADABLE)
  const fonts = new Set([text, heading].flatMap((one) => (one ? familiesOf(one.font) : [])))
  return {
    bodyFont: taken(text?.font, 'its running text'),
    headingFont: heading ? taken(heading.font, `its h${heading.level}`) : null,
    text: taken(text?.colour, 'its running text'),
    background: isGroundSeen
      ? taken(background, ground ? 'what lies behind its text' : 'no background of its own: white')
      : null,
    accent: accentOf({
      text: text?.colour ?? '',
      background,
      links: [inText?.colour, link && toOklch(link.colour).c > GREY ? link.colour : undefined],
      button: button?.ground,
      anyLink: anyLink?.colour,
      edges,
    }),
    link: taken(link?.colour, inText ? 'links in its text' : 'its navigation'),
    heading: heading && isOnGround(heading) ? taken(heading.colour, `its h${heading.level}`) : null,
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
  /** Of links, the strongest first. */
  links: (string | undefined)[]
  button: string | undefined
  /** A coloured one of whatever link. */
  anyLink: string | undefined
  edges: LookSamples['edges']
}

function accentOf({ text, background, links, button, anyLink, edges }: Accents): Taken<string> | null {
  const stands = (colour: string | undefined): colour is string =>
    Boolean(colour) && !areAlike(colour!, background) && (!text || !areAlike(colour!, text))
  const link = links.find(stands)
  if (link) return { value: link, from: 'its links' }
  if (stands(button)) return { value: button, from: 'its buttons' }
  if (stands(anyLink)) return { value: anyLink, from: 'its links' }
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
