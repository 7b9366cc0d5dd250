import { escapeAttribute, escapeComment, escapeSegment, escapeText } from './escape'
import type { Method } from './method'

export interface SnippetRequest {
  method: Method
  /** Where this Pebblestrand answers: scheme, host and port, no slash at the end. */
  origin: string
  publicId: string
  /** Name of the widget and of who looks after it, said in a comment. */
  name: string
  agency: string
  /** Of the placement, and what the widget takes there; px. */
  width: number
  height: number
}

/** Attribute that marks our element, and the paths below the origin; the verifier looks for the same. */
export const MARK = 'data-pebblestrand'
export const paths = {
  script: '/strand.js',
  payload: (id: string) => `/p/${escapeSegment(id)}.json`,
  frame: (id: string) => `/f/${escapeSegment(id)}`,
  link: (id: string) => `/v/${escapeSegment(id)}`,
}

/** A frame cannot grow with its content: room for lines that break earlier than was worked out (e2e/fit.spec.ts). */
const FRAME_SLACK = 1.15

/** The exact text to paste. Every value is escaped for where it stands. */
export function snippetText(request: SnippetRequest): string {
  return [comment(request), ...(request.method === 'inline' ? inline(request) : frame(request))].join('\n') + '\n'
}

const comment = ({ name, agency }: SnippetRequest) => `<!-- ${escapeComment(`${name}, by ${agency}`)} -->`

function inline({ origin, publicId, name, height }: SnippetRequest): string[] {
  return [
    `<div ${MARK}="${escapeAttribute(publicId)}" style="min-height:${Math.round(height)}px">`,
    `  <a href="${escapeAttribute(origin + paths.link(publicId))}">${escapeText(name)}</a>`,
    '</div>',
    `<script async src="${escapeAttribute(origin + paths.script)}"></script>`,
  ]
}

function frame({ origin, publicId, name, width, height }: SnippetRequest): string[] {
  return [
    `<iframe src="${escapeAttribute(origin + paths.frame(publicId))}" title="${escapeAttribute(name)}"`,
    `  width="${Math.round(width)}" height="${Math.ceil(height * FRAME_SLACK)}" loading="lazy"`,
    '  style="border:0;max-width:100%"></iframe>',
  ]
}
