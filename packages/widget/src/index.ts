export { render } from './render'
export { frameDocument } from './frame'
export { loadFont } from './runtime/font'
export type { Rendered, Renderer } from './renderer'
