import { comment } from './comment'
import type { SnippetRequest } from './method'

/** Lines of a snippet as its request wants them: with the comment before them or not, broken or in one piece. */
export function typeset(request: SnippetRequest, lines: readonly string[]): string {
  const { form = 'lines', signed = true } = request
  const all = signed && form !== 'minimal' ? [comment(request), ...lines] : lines
  if (form === 'lines') return `${all.join('\n')}\n`
  // Within a tag a line's end is a blank, between tags it is nothing.
  return all.reduce((text, line) => text + (text.endsWith('>') || !text ? '' : ' ') + line.trim(), '')
}
