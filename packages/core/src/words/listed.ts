/** "a, b and c", with the last word given. */
export const listed = (words: readonly string[], last: string): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} ${last} ${words.at(-1)}`
