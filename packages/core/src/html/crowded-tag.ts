import { Parser } from 'htmlparser2'

/** Attributes of one tag: the standard compares each with all before it. */
const MOST = 1000
/** Characters that so many attributes take at least, each with a space and a name. */
const LEAST_LENGTH = 2 * MOST

/** Whether some tag has more attributes than any that was written to be read. */
export function hasCrowdedTag(html: string): boolean {
  if (!hasLongStretch(html)) return false
  let [count, crowded] = [0, false]
  const parser: Parser = new Parser({
    onopentagname: () => void (count = 0),
    onattribute() {
      if (++count <= MOST) return
      crowded = true
      parser.pause()
    },
  })
  parser.write(html)
  return crowded
}

/** Whether a `<` is so far from the next `>` that such a tag may be between them. */
function hasLongStretch(html: string): boolean {
  for (let start = 0; html.length - start > LEAST_LENGTH;) {
    const end = html.indexOf('>', start)
    const stop = end < 0 ? html.length : end
    if (stop - start > LEAST_LENGTH && html.slice(start, stop).includes('<')) return true
    start = stop + 1
  }
  return false
}
