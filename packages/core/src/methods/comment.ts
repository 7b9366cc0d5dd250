import { escapeComment } from '../markup'
import type { SnippetRequest } from './method'

/** Says to whoever finds the snippet what it is and who looks after it. */
export const comment = ({ name, agency }: SnippetRequest) => `<!-- ${escapeComment(`${name}, by ${agency}`)} -->`
