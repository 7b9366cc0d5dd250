export { render } from './render'
export { frameDocument } from './frame'
export type { Rendered, Renderer } from './renderer'
