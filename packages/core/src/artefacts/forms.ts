import { framePage, type Surroundings } from './frame-page'
import type { Payload } from './payload'

/** One form of what an install serves: made once, served as bytes. */
interface Form {
  contentType: string
  text(payload: Payload, around: Surroundings): string
}

/** Every form by its id, which methods name as their artefact. */
export const artefactForms = {
  payload: { contentType: 'application/json; charset=utf-8', text: (payload) => JSON.stringify(payload) },
  frame: { contentType: 'text/html; charset=utf-8', text: framePage },
} as const satisfies Record<string, Form>

export type FormId = keyof typeof artefactForms
export const formIds = Object.keys(artefactForms) as FormId[]
