/** One thing to paste, as far as its order among others goes. */
export interface ToPaste {
  page: string
  /** Of the page, among the site's. */
  position: number
  box: string
  placement: string
}

const by = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0)

/** In the order of fewest steps: page after page as the site has them, and what goes into one box together. */
export const fewestSteps = <T extends ToPaste>(all: readonly T[]): T[] =>
  [...all].sort(
    (a, b) => a.position - b.position || by(a.page, b.page) || by(a.box, b.box) || by(a.placement, b.placement),
  )
