/** Px by which a width may differ and be the same: scroll bars, rounding. */
const SAME = 12

/** Whether two measured widths, px, are one and the same. */
export const isSameWidth = (one: number, other: number): boolean => Math.abs(one - other) <= SAME
