import type { AnyNode } from 'domhandler'

/** Of one node: elements without words in them are looked through no further than this. */
const MOST_NODES = 20_000

/** The words of a node and all below it, cut after so many letters. Without recursion, since a page may be nested deep. */
export function textWithin(node: AnyNode, most: number): string {
  const parts: string[] = []
  let [length, nodes] = [0, 0]
  const open = [node]
  for (let next = open.pop(); next && length < most && ++nodes < MOST_NODES; next = open.pop()) {
    if (next.type === 'text') {
      parts.push(next.data.slice(0, most))
      length += next.data.length
    } else if ('children' in next) for (let i = next.children.length - 1; i >= 0; i--) open.push(next.children[i]!)
  }
  return parts.join('').slice(0, most)
}
