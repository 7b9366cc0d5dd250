import { z } from 'zod'
import { escapeText, linkTarget } from '../markup'

// Text as people write it in a small editor: paragraphs and lists, bold, italics, links, and nothing else. It is kept as what it
// says and not as markup, so that what is written of it needs no cleaning.

/** Letters that belong together. */
export const Run = z.strictObject({
  text: z.string().min(1).max(4000),
  bold: z.literal(true).optional(),
  italic: z.literal(true).optional(),
  link: z.string().trim().min(1).max(2000).optional(),
})
export type Run = z.infer<typeof Run>

const Line = z.array(Run).max(200)

export const Block = z.discriminatedUnion('is', [
  z.strictObject({ is: z.literal('paragraph'), runs: Line }),
  z.strictObject({ is: z.literal('list'), ordered: z.boolean(), entries: z.array(Line).min(1).max(50) }),
])
export type Block = z.infer<typeof Block>

export const RichText = z.array(Block).max(50)
export type RichText = z.infer<typeof RichText>

/** Without its form, as one line for each paragraph and entry. */
export const plainText = (text: RichText): string =>
  text
    .flatMap((block) => (block.is === 'paragraph' ? [block.runs] : block.entries))
    .map((runs) => runs.map((run) => run.text).join(''))
    .join('\n')
    .trim()

/** Letters of all of it. */
export const lengthOf = (text: RichText): number => plainText(text).length

/** One paragraph of plain words. */
export const paragraph = (text: string): Block => ({ is: 'paragraph', runs: [{ text }] })

function runHtml({ text, bold, italic, link }: Run, attributes: string): string {
  const lines = text.split('\n').map(escapeText).join('<br>')
  const inner = italic ? `<em>${lines}</em>` : lines
  const strong = bold ? `<strong>${inner}</strong>` : inner
  const href = link ? linkTarget(link) : ''
  return href ? `<a part="link" href="${href}"${attributes && ` ${attributes}`}>${strong}</a>` : strong
}

/**
 * As HTML.
 * @param linkAttributes of each link, ready to be written
 */
export function richHtml(text: RichText, linkAttributes = ''): string {
  const line = (runs: readonly Run[]) => runs.map((run) => runHtml(run, linkAttributes)).join('')
  return text
    .map((block) => {
      if (block.is === 'paragraph') return `<p>${line(block.runs)}</p>`
      const tag = block.ordered ? 'ol' : 'ul'
      return `<${tag}>${block.entries.map((runs) => `<li>${line(runs)}</li>`).join('')}</${tag}>`
    })
    .join('')
}
