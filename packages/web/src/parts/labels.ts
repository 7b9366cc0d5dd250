/** Labels as a person types them, with commas between them. */
export const labelsOf = (typed: string): string[] =>
  typed
    .split(',')
    .map((label) => label.trim())
    .filter(Boolean)
