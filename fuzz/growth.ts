import { parseArgs } from 'node:util'
import { readers, type Reader } from './readers'

// npm run growth [-- --most 32768]: what reading costs when its input doubles. Each reader gets texts that repeat one piece, four sizes of
// each, and must not take more than three times as long for twice as much. In the processor's own time: a busy machine does not matter.

const { values } = parseArgs({ options: { most: { type: 'string' }, only: { type: 'string' } } })
/** Letters of the largest text. */
const MOST = Number(values.most ?? 262_144)
const DOUBLINGS = 3
/** Times as much for twice the text. A cost that is the square of it takes four times as much. */
const MOST_GROWTH = 3
/** What takes less than so many ms at the largest size says nothing. */
const LEAST_MS = 40
/** An input that takes longer is not tried at a larger size. */
const TOO_LONG_MS = 4000

/** What standards and breaks of them are made of. */
const pieces = [
  ...'a A 1 0 < > & " \' ( ) [ ] { } \\ / # @ % . , ; : = + - _ ~ * ? ! | ^ $ `'.split(' '),
  ' ', '\n', '\t', '\r\n', '\0', 'é', '😀', 'a\u0301', '\ud800', '\u2028',
  'a&', 'a=1&', '&&', '%41', '%', 'a,', 'a;', 'a b ', 'a.', 'a@', '@a.', '://', '//', '/*', '*/', '\\"', '"a",', '""', '{"a":', '[1,',
  '<a', '<a ', '<a b', '<a b=c ', '<a b="c" ', '<b>', '</b>', '<p>', '<div>', '</div>', '<table><td>', '<svg>', '<template>', '<select>',
  '<style>', '<script>', '<i><p>', '<!--', '-->', '<![CDATA[', ']]>', '<?xml', '<!DOCTYPE', '&#', '&#x1', '&amp;', '&lt;a',
  '<loc>', '<url><loc>', '<item>', '<item><title>a</title></item>', '<entry>', '<outline>', '<outline text="a">', '<DT><A HREF="http://a.example">a</A>', '<DL><DT>',
  'var(', 'var(--a,', 'calc(', 'url(', '@media{', '@a{', 'a{', 'a{b:c}', 'a,', ':not(', ':is(a,', '::part(title)', '--a:', '&{', 'a>', '/*a*/',
  '<meta name=a content=b>', '<link rel=stylesheet href=a>', '<a href=/a>a</a>', '<div data-pebblestrand="abcd-efgh"></div>', '"@type":', 'x=(a ', 'a=(', '("a" ',
] // prettier-ignore

interface Slow {
  reader: string
  piece: string
  ms: number[]
}

/** Ms of the processor for one text, the least of some tries; what is thrown is no matter here. */
function cost({ run }: Reader, text: string, tries = 3): number {
  let least = Infinity
  for (let n = 0; n < tries; n++) {
    const before = process.cpuUsage()
    try {
      run(text)
    } catch {
      // Refused, in so much time.
    }
    const { user, system } = process.cpuUsage(before)
    least = Math.min(least, (user + system) / 1000)
    // What is far from saying anything needs no second try, nor what is too slow by any measure.
    if (least > TOO_LONG_MS || least < LEAST_MS / 8) break
  }
  return least
}

/** What one piece costs at growing sizes; null where that is well. */
function tried(reader: Reader, piece: string, [before, after]: [string, string]): Slow | null {
  const largest = Math.min(MOST, reader.most)
  const textOf = (size: number) =>
    before + piece.repeat(Math.max(1, Math.floor((size - before.length - after.length) / piece.length))) + after
  const ms: number[] = []
  for (let halving = DOUBLINGS; halving >= 0; halving--) {
    ms.push(cost(reader, textOf(largest / 2 ** halving)))
    if (ms.at(-1)! > TOO_LONG_MS) break
  }
  // Over all doublings together: at one of them a collection of garbage may come in between.
  const [first, last] = [Math.max(ms[0]!, LEAST_MS / 40), ms.at(-1)!]
  if (last < LEAST_MS || last <= first * MOST_GROWTH ** (ms.length - 1)) return null
  return { reader: reader.name, piece: before + piece, ms }
}

const chosen = readers.filter(({ name }) => !values.only || name === values.only)
const found: Slow[] = []
let texts = 0
for (const reader of chosen) {
  let worst = 0
  const began = process.cpuUsage()
  for (const around of [['', ''] as [string, string], ...(reader.around ?? [])])
    for (const piece of pieces) {
      texts += DOUBLINGS + 1
      const slow = tried(reader, piece, around)
      // Again, before it counts: a collection of garbage may have come in between.
      const again = slow && tried(reader, piece, around)
      if (again) found.push(again)
      worst = Math.max(worst, again?.ms.at(-1) ?? 0)
    }
  const { user, system } = process.cpuUsage(began)
  process.stdout.write(
    `${worst ? 'GROWS' : 'well '}  ${reader.name} (${reader.where}, from ${reader.from}, ${reader.most} letters at most): ${Math.round((user + system) / 1000)} ms\n`,
  )
}
for (const { reader, piece, ms } of found)
  process.stdout.write(`  ${reader}: ${JSON.stringify(piece)} ${ms.map((one) => `${Math.round(one)} ms`).join(', ')}\n`)
process.stdout.write(`${texts} texts at ${chosen.length} readers, ${found.length} found\n`)
process.exit(found.length ? 1 : 0)
