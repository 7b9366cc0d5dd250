import { escapeAttribute, escapeText } from '../markup'

/** A mail as it goes out: plain text, and the same as HTML with its addresses as links. */
export interface Letter {
  subject: string
  text: string
  html: string
}

const oneLine = (text: string) => text.replace(/\s+/g, ' ').trim()

/**
 * A mail of paragraphs, with empty lines between them.
 * @param direction of the language it is written in
 */
export function paragraphsLetter(
  subject: string,
  body: string,
  { lang, direction }: { lang: string; direction: 'ltr' | 'rtl' },
): Letter {
  const text = `${body.trim()}\n`
  const paragraphs = text
    .trim()
    .split(/\n{2,}/)
    .map((part) => `<p style="margin:0 0 1em">${linked(part).replaceAll('\n', '<br>')}</p>`)
    .join('')
  return {
    subject: oneLine(subject).slice(0, 200),
    text,
    html: `<!doctype html><html lang="${escapeAttribute(lang)}" dir="${direction}"><head><meta charset="utf-8"><title>${escapeText(oneLine(subject))}</title></head><body style="margin:0;padding:24px;background:#f7f4ec;color:#1d2b34;font:16px/1.5 sans-serif"><div style="max-width:600px;margin:0 auto;padding:24px;background:#fffdf8;border:1px solid #d3cbb9">${paragraphs}</div></body></html>`,
  }
}

/** Escaped, its addresses made links. */
function linked(text: string): string {
  return text
    .split(/(https?:\/\/[^\s<>"]+)/)
    .map((part, i) =>
      i % 2 === 1
        ? `<a href="${escapeAttribute(part)}" style="color:#17665a">${escapeText(part)}</a>`
        : escapeText(part),
    )
    .join('')
}
