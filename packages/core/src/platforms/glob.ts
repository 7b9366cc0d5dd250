/**
 * Whether a whole text is as a pattern says: `*` stands for any letters, `?` for one, capitals make no difference. It goes back to
 * the last `*` only, so that a pattern from elsewhere costs at most its length times the text's.
 */
export function matchesGlob(text: string, pattern: string): boolean {
  const [letters, wanted] = [text.toLowerCase(), pattern.toLowerCase()]
  let [at, on] = [0, 0]
  let [star, resumeAt] = [-1, 0]
  while (at < letters.length) {
    if (wanted[on] === '*') {
      star = on++
      resumeAt = at
    } else if (on < wanted.length && (wanted[on] === '?' || wanted[on] === letters[at])) {
      at++
      on++
    } else if (star >= 0) {
      on = star + 1
      at = ++resumeAt
    } else return false
  }
  while (wanted[on] === '*') on++
  return on === wanted.length
}
