/** Px that a widget is wide where the page asks it how wide it would like to be: a sidebar's usual width (common practice). */
const OWN_WIDTH = 300

/**
 * What a widget says of its own element, when its inside answers to its width. What is queried has no width of its own (CSS
 * Containment 3, inline-size), so it would be nothing in a row, a float or a box that is as wide as what is in it.
 */
export const widthAnsweringHost = `:host{display:block;container-type:inline-size;contain-intrinsic-inline-size:${OWN_WIDTH}px;min-width:0;max-width:100%}`
