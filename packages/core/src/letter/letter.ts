import { escapeAttribute, escapeText } from '../markup'

/** A mail as it goes out: plain text, and the same as HTML with the addresses that we wrote as links. */
export interface Letter {
  subject: string
  text: string
  html: string
}

/** A stretch of a letter: ours, or what a stranger wrote, which is never markup and never a link. */
export interface Stretch {
  text: string
  isForeign?: boolean
}

const oneLine = (text: string) => text.replace(/\s+/g, ' ').trim()

/**
 * A mail of paragraphs, with empty lines between them.
 * @param body ours, or stretches of it, some of them a stranger's
 * @param direction of the language it is written in
 */
export function paragraphsLetter(
  subject: string,
  body: string | readonly Stretch[],
  { lang, direction }: { lang: string; direction: 'ltr' | 'rtl' },
): Letter {
  const stretches = joined(typeof body === 'string' ? [{ text: body }] : body)
  const paragraphs = stretches
    .map(({ text, isForeign }) => (isForeign ? escapeText(text) : linked(text)))
    .join('')
    .trim()
    .split(/\n{2,}/)
    .map((part) => `<p style="margin:0 0 1em">${part.replaceAll('\n', '<br>')}</p>`)
    .join('')
  return {
    subject: oneLine(subject).slice(0, 200),
    text: `${stretches
      .map(({ text }) => text)
      .join('')
      .trim()}\n`,
    html: `<!doctype html><html lang="${escapeAttribute(lang)}" dir="${direction}"><head><meta charset="utf-8"><title>${escapeText(oneLine(subject))}</title></head><body style="margin:0;padding:24px;background:#f7f4ec;color:#1d2b34;font:16px/1.5 sans-serif"><div style="max-width:600px;margin:0 auto;padding:24px;background:#fffdf8;border:1px solid #d3cbb9">${paragraphs}</div></body></html>`,
  }
}

/** Our own that stand side by side are one, so that an address may be put together from several. */
function joined(stretches: readonly Stretch[]): Stretch[] {
  const all: Stretch[] = []
  for (const one of stretches) {
    const last = all.at(-1)
    if (last && !last.isForeign && !one.isForeign) all[all.length - 1] = { text: last.text + one.text }
    else all.push(one)
  }
  return all
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
