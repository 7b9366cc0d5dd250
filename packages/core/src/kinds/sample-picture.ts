import type { Picture } from '../items'

/** How many drawings the web application ships for what stands as an example. */
const DRAWINGS = 6

/**
 * A drawing for a sample's item, as large as it is unless said otherwise; px.
 * @param at of the items, from 0: neighbours have different ones
 */
export const samplePicture = (origin: string, at: number, size: { width?: number; height?: number } = {}): Picture => ({
  url: `${origin}/starter-pictures/${(at % DRAWINGS) + 1}.svg`,
  width: 640,
  height: 360,
  alt: '',
  ...size,
})
