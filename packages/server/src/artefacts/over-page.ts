/** Px that a page of what stands over the page begins with; what is in it says the rest. */
export const OVER_PAGE_WIDTH = 360
