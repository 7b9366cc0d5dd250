import { buttonCss, buttonHoverCss, fontOf, insetOf, lookCss, variablesCss } from './css'
import { accentAsText, lookPairs } from './pairs'
import { sized, sizedAll } from './scales'
import { buttonColour, lookShape, starColour } from './settings'

export type { Edge } from './css'
export { measured, type Measured, type Pair } from './pairs'
export type { TextSize } from './scales'
export type { LookSettings } from './settings'

/** How a widget looks: font, colours, edges, sizes. */
export const lookGroup = {
  shape: lookShape,
  buttons: buttonColour,
  stars: starColour,
  css: lookCss,
  variables: variablesCss,
  button: buttonCss,
  buttonHover: buttonHoverCss,
  inset: insetOf,
  font: fontOf,
  pairs: lookPairs,
  accentAsText,
  sized,
  sizedAll,
}
