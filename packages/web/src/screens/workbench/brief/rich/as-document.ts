import type { Block, RichText, Run } from '@pebblestrand/core/rich-text'
import type { JSONContent } from '@tiptap/core'

// Our text and the editor's document say the same in two ways.

const marksOf = ({ bold, italic, link }: Run) => [
  ...(bold ? [{ type: 'bold' }] : []),
  ...(italic ? [{ type: 'italic' }] : []),
  ...(link ? [{ type: 'link', attrs: { href: link } }] : []),
]

const inline = (runs: readonly Run[]): JSONContent[] =>
  runs.flatMap((run) =>
    run.text
      .split('\n')
      .flatMap((text, i): JSONContent[] => [
        ...(i ? [{ type: 'hardBreak' }] : []),
        ...(text ? [{ type: 'text', text, marks: marksOf(run) }] : []),
      ]),
  )

const paragraphOf = (runs: readonly Run[]): JSONContent => ({ type: 'paragraph', content: inline(runs) })

export const asDocument = (text: RichText): JSONContent => ({
  type: 'doc',
  content: text.map((block) =>
    block.is === 'paragraph'
      ? paragraphOf(block.runs)
      : {
          type: block.ordered ? 'orderedList' : 'bulletList',
          content: block.entries.map((runs) => ({ type: 'listItem', content: [paragraphOf(runs)] })),
        },
  ),
})

function runOf({ type, text, marks = [] }: JSONContent): Run | null {
  if (type === 'hardBreak') return { text: '\n' }
  if (!text) return null
  const has = (name: string) => marks.find((mark) => mark.type === name)
  const link = has('link')?.attrs?.href as string | undefined
  return {
    text,
    ...(has('bold') ? { bold: true as const } : {}),
    ...(has('italic') ? { italic: true as const } : {}),
    ...(link ? { link } : {}),
  }
}

const runsOf = (node: JSONContent): Run[] => (node.content ?? []).flatMap((one) => runOf(one) ?? [])

function blockOf(node: JSONContent): Block {
  if (node.type === 'paragraph') return { is: 'paragraph', runs: runsOf(node) }
  // Of an entry its paragraphs are one line each: lists have no depth.
  const entries = (node.content ?? []).flatMap((entry) =>
    (entry.content ?? []).filter(({ type }) => type === 'paragraph').map(runsOf),
  )
  return { is: 'list', ordered: node.type === 'orderedList', entries }
}

/** What the editor holds; empty paragraphs at the end are none. */
export function asText(document: JSONContent): RichText {
  const blocks = (document.content ?? []).map(blockOf)
  while (blocks.at(-1)?.is === 'paragraph' && !(blocks.at(-1) as { runs: Run[] }).runs.length) blocks.pop()
  return blocks.filter((block) => block.is === 'paragraph' || block.entries.length > 0)
}
