import { Parser } from 'htmlparser2'
import { position, type Page } from './page'

/**
 * Offset of the `<body>` tag in the source, -1 where the page leaves it out. The parser says it where the tag stands where
 * it should; with something visible before it, the tag only adds to a body that is there already, and has to be looked for.
 */
export function bodyTagOffset({ $, source }: Page): number {
  const body = $('body')[0] // a page of framesets has none
  const own = body ? position(body) : null
  if (own) return own.offset
  if (!/<body[\s/>]/i.test(source)) return -1
  let found = -1
  const parser: Parser = new Parser({
    onopentagname(name) {
      if (name !== 'body') return
      found = parser.startIndex
      parser.pause()
    },
  })
  parser.write(source)
  return found
}
