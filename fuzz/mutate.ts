import type { Dice } from './dice'

/** Characters of one input at most. */
export const MOST = 100_000

/** What breaks readers: the beginnings and ends of things, and what no store takes. */
const tokens = [
  ...'<>"\'&;=/\\(){}[],:@!?*+~|^$%`'.split(''),
  '<!--', '-->', '<![CDATA[', ']]>', '<!DOCTYPE', '<?xml', '<script>', '</script', '<style>', '<template>', '<svg>', '<math>',
  '<table>', '<tr><td>', '<select>', '<option>', '<a href="/feed">', '<font color=1>', '<b>', '<p>', '<li>', '<button>',
  '<iframe src="https://s.example/f/abcd-efgh">', 'data-pebblestrand="abcd-efgh"', '<body', '<head', '<frameset>', '<plaintext>',
  '&amp;', '&#0;', '&#xD800;', '&lt;', '&notin', '\\u0000', '\\ud800', '\0', '\ud800', '\udc00', '\u202e', '\ufeff', 'é', '𝒶', 'ß', 'İ',
  'http://', 'https://a.example/', '//', 'javascript:', 'data:', '__proto__', 'constructor', '1e999', '-0', '99999999999999999999',
  '<item>', '</item>', '<guid>', '<title>', '<link>', '<pubDate>', '<content:encoded>', '<entry>', '"items":[', '"id":', 'xml:base="', 'engrav*', 'a '
] // prettier-ignore

type Mutation = (text: string, dice: Dice, other: string) => string

const within = (text: string, dice: Dice): [number, number] => {
  const from = dice.roll(text.length + 1)
  return [from, Math.min(text.length, from + dice.roll(dice.pick([3, 20, 200, 5000])))]
}

const mutations: Mutation[] = [
  /** A piece, again and again. */
  (text, dice) => {
    const [from, to] = within(text, dice)
    const piece = text.slice(from, to) || dice.pick(tokens)
    return (
      text.slice(0, from) + piece.repeat(Math.min(2 ** dice.roll(14), Math.ceil(MOST / piece.length))) + text.slice(to)
    )
  },
  (text, dice) => {
    const [from, to] = within(text, dice)
    return text.slice(0, from) + text.slice(to)
  },
  (text, dice) => {
    const at = dice.roll(text.length + 1)
    return text.slice(0, at) + dice.pick(tokens) + text.slice(at)
  },
  (text, dice, other) => {
    const [from, to] = within(other, dice)
    const at = dice.roll(text.length + 1)
    return text.slice(0, at) + other.slice(from, to) + text.slice(at)
  },
  /** Nothing but a few tokens, over and over: what nests. */
  (_text, dice) => {
    const few = Array.from({ length: 1 + dice.roll(4) }, () => dice.pick(tokens)).join('')
    return few.repeat(Math.ceil((1 + dice.roll(MOST)) / few.length))
  },
  (text, dice) => {
    const [from, to] = within(text, dice)
    return text.slice(0, from) + [...text.slice(from, to)].reverse().join('') + text.slice(to)
  },
]

/** A seed, changed a few times. */
export function mutate(text: string, other: string, dice: Dice): string {
  let made = text
  for (let times = 1 + dice.roll(5); times; times--) made = dice.pick(mutations)(made, dice, other).slice(0, MOST)
  return made
}
