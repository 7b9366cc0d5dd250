import { escape } from '../html'
import type { Boxes } from '../state/store'

/** What a visual text box makes of what is pasted: words. Lines become paragraphs, markup becomes visible. */
const visual = (text: string) =>
  text
    .split(/\n{2,}/)
    .map((p) => `<p>${escape(p.trim()).replace(/\n/g, '<br>')}</p>`)
    .join('\n')

/** A box for people who may not use scripts: the elements stay, scripts go. */
const filtered = (text: string) => text.replace(/<script\b[\s\S]*?<\/script\s*>/gi, '')

const output: Record<string, (text: string) => string> = { visual, filtered, code: (text) => text }

/** The boxes of a region as the page shows them, in the order visual, filtered, code. */
export function regionHtml(boxes: Boxes | undefined): string {
  return Object.keys(output)
    .filter((box) => boxes?.[box]?.trim())
    .map((box) => output[box]!(boxes![box]!))
    .join('\n')
}
