import type { Rendered } from '../kinds'

/** What the script on a client's page gets: all a widget is, ready to be shown. */
export interface Payload extends Rendered {
  v: 2
  release: number
  /** The widget's name: what a frame or a section is called. */
  name: string
}

export const payloadOf = (rendered: Rendered, about: { release: number; name: string }): Payload => ({
  v: 2,
  ...rendered,
  ...about,
})
