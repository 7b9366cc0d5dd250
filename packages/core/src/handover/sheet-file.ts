import { escapeAttribute, escapeText } from '../markup'
import type { FileForm } from './file-forms'
import { asked, placeSaid, speaker, type Sheet } from './sheet'

type Piece =
  | { is: 'title' | 'heading' | 'words' | 'code'; text: string }
  | { is: 'steps'; steps: { text: string; strong: boolean }[][] }

/** What stands in the file, in its order. */
function pieces(sheet: Sheet): Piece[] {
  const say = speaker(sheet)
  const isOut = sheet.purpose === 'remove'
  return [
    { is: 'title', text: asked(sheet, say) },
    ...(sheet.message ? [{ is: 'words', text: sheet.message } as const] : []),
    ...sheet.items.flatMap((item): Piece[] => [
      { is: 'heading', text: item.widget },
      { is: 'words', text: placeSaid(item, say) },
      ...(item.url ? [{ is: 'words', text: item.url } as const] : []),
      ...(item.steps.length ? [{ is: 'steps', steps: item.steps.map(({ parts }) => parts) } as const] : []),
      ...(item.note ? [{ is: 'words', text: `${say('note')}: ${item.note}` } as const] : []),
      { is: 'words', text: say(isOut ? 'codeOut' : 'code') },
      { is: 'code', text: item.snippet },
    ]),
    ...(sheet.address ? [{ is: 'words', text: sheet.address } as const] : []),
  ]
}

const plainStep = (step: { text: string }[]) => step.map(({ text }) => text).join('')

/** Longer than any run of backquotes in a text, so that nothing in it ends the block (CommonMark 0.31.2, section 4.5). */
const fence = (code: string) => '`'.repeat(Math.max(3, ...[...code.matchAll(/`+/g)].map(([run]) => run.length + 1)))

/** What Markdown would read as its own signs (CommonMark 0.31.2, section 2.4). */
const markdown = (text: string) => text.replace(/[\\`*_{}[\]<>#|~]/g, '\\$&')

const writers: Record<FileForm, (sheet: Sheet) => string> = {
  txt: (sheet) =>
    pieces(sheet)
      .map((piece) => {
        if (piece.is === 'steps') return piece.steps.map((step, i) => `${i + 1}. ${plainStep(step)}`).join('\n')
        if (piece.is === 'heading') return `${piece.text}\n${'-'.repeat(Math.min(60, piece.text.length))}`
        return piece.text
      })
      .join('\n\n') + '\n',
  md: (sheet) =>
    pieces(sheet)
      .map((piece) => {
        if (piece.is === 'steps')
          return piece.steps
            .map(
              (step, i) =>
                `${i + 1}. ${step.map(({ text, strong }) => (strong ? `**${markdown(text)}**` : markdown(text))).join('')}`,
            )
            .join('\n')
        if (piece.is === 'title') return `# ${markdown(piece.text)}`
        if (piece.is === 'heading') return `## ${markdown(piece.text)}`
        if (piece.is === 'code') return `${fence(piece.text)}html\n${piece.text}\n${fence(piece.text)}`
        return /^https?:\/\/\S+$/.test(piece.text) ? `<${piece.text}>` : markdown(piece.text)
      })
      .join('\n\n') + '\n',
  html: (sheet) => {
    const { tag, direction } = sheet.language
    const body = pieces(sheet).map((piece) => {
      if (piece.is === 'steps')
        return `<ol>${piece.steps.map((step) => `<li>${step.map(({ text, strong }) => (strong ? `<b>${escapeText(text)}</b>` : escapeText(text))).join('')}</li>`).join('')}</ol>`
      if (piece.is === 'title') return `<h1>${escapeText(piece.text)}</h1>`
      if (piece.is === 'heading') return `<h2>${escapeText(piece.text)}</h2>`
      if (piece.is === 'code')
        return `<pre dir="ltr" style="white-space:pre-wrap"><code>${escapeText(piece.text)}</code></pre>`
      return `<p>${escapeText(piece.text)}</p>`
    })
    return `<!doctype html>\n<html lang="${escapeAttribute(tag)}" dir="${direction}">\n<meta charset="utf-8">\n<title>${escapeText(asked(sheet, speaker(sheet)))}</title>\n<body style="max-width:44em;margin:2em auto;padding:0 1em;font-family:sans-serif;line-height:1.5">\n${body.join('\n')}\n</body>\n</html>\n`
  },
}

/** A sheet as a file to keep or to send on. */
export const sheetFile = (sheet: Sheet, form: FileForm): string => writers[form](sheet)
