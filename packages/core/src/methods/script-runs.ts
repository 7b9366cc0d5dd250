import type { Element } from 'domhandler'

/** JavaScript MIME type essences (WHATWG MIME Sniffing, section 4.6); one with parameters is none of them. */
const JAVASCRIPT =
  /^(?:application\/(?:x-)?(?:ecma|java)script|text\/(?:javascript1\.[0-5]|(?:x-)?(?:ecma|java)script|jscript|livescript))$/i

/** Whether browsers run a script of this element as a classic one (HTML standard, section 4.12.1.1, "prepare the script element"). */
export function runsAsClassic({ attribs }: Element): boolean {
  if (attribs.nomodule !== undefined) return false
  if (attribs.type !== undefined) return attribs.type === '' || JAVASCRIPT.test(attribs.type.trim())
  return !attribs.language || JAVASCRIPT.test(`text/${attribs.language}`)
}
