import { methods } from './list'
import type { MethodId } from './names'
import type { SnippetRequest } from './method'

/** What stands on a page where a method came off: its text, or what editor and connector put in its place. */
export function asShown(method: MethodId, request: SnippetRequest): string {
  if (method === 'shortcode') return methods.inline.text(request)
  if (method === 'link')
    return `<iframe src="${methods.link.text(request)}" width="${request.width}" height="${request.height}"></iframe>\n`
  return methods[method].text(request)
}
