import { methods } from '../methods'
import { framePage, type Surroundings } from './frame-page'
import { onSite } from './on-site'
import type { Payload } from './payload'
import { standalonePage } from './standalone-page'

/** One form of what an install serves: made once, served as bytes. */
interface Form {
  contentType: string
  text(payload: Payload, around: Surroundings): string
}

const HTML = 'text/html; charset=utf-8'

/** Every form by its id, which methods name as their artefact. */
export const artefactForms = {
  payload: {
    contentType: 'application/json; charset=utf-8',
    text: (payload, { look }) => JSON.stringify(onSite(payload, look)),
  },
  frame: { contentType: HTML, text: framePage },
  page: { contentType: HTML, text: standalonePage },
  /** What stands in a shortcode's place: element and script. */
  connector: { contentType: HTML, text: ({ name }, around) => methods.inline.text({ ...around, name, signed: false }) },
} as const satisfies Record<string, Form>

export type FormId = keyof typeof artefactForms
export const formIds = Object.keys(artefactForms) as FormId[]
