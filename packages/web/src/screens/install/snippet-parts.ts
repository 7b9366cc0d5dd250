/** A stretch of a snippet's text, by what it is in HTML. */
export interface Piece {
  sort: 'comment' | 'tag' | 'name' | 'value' | 'text'
  text: string
}

/** Pieces that stay on one line where there is room: an attribute with its value, and what closes the tag behind it. */
export interface Part {
  whole: boolean
  pieces: Piece[]
}

const TOKEN = /<!--[\s\S]*?-->|<\/?[a-z][\w-]*|\/?>|([a-z][\w-]*)(?:(=)("[^"]*"))?|\s+|[^<\s]+/gi

/** A snippet in stretches for colouring; put together they are the text itself, to the last sign. */
export function snippetParts(text: string): Part[] {
  let inTag = false
  const parts: Part[] = []
  for (const match of text.matchAll(TOKEN)) {
    const [token, name, equals, value] = match
    if (token.startsWith('<!--')) parts.push(one('comment', token))
    else if (/^<\/?[a-z]/i.test(token)) {
      inTag = true
      parts.push(one('tag', token))
    } else if (inTag && /^\/?>$/.test(token)) {
      inTag = false
      // What closes the tag stays with its last attribute.
      const last = parts.at(-1)
      if (last?.whole) last.pieces.push({ sort: 'tag', text: token })
      else parts.push(one('tag', token))
    } else if (inTag && name && equals)
      parts.push({
        whole: true,
        pieces: [
          { sort: 'name', text: name },
          { sort: 'text', text: equals },
          { sort: 'value', text: value! },
        ],
      })
    else parts.push(one(inTag && /\S/.test(token) ? 'name' : 'text', token))
  }
  return parts
}

const one = (sort: Piece['sort'], text: string): Part => ({ whole: false, pieces: [{ sort, text }] })
