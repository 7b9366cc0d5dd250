/** Something that was worked out about a site, and where it was read. */
export interface Fact<T> {
  value: T
  /** Where, as a clause that follows "read from". */
  from: string
}

export const fact = <T>(value: T, from: string): Fact<T> => ({ value, from })
