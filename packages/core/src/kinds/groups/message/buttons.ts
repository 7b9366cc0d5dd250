import { icsOf } from '../../../calendar'
import { escapeAttribute, escapeText, linkTarget } from '../../../markup'
import { instantOf } from '../../../zoned-time'
import type { Button } from './settings'

/** A file's name, of a title. */
const fileName = (title: string) => `${title.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'date'}.ics`

/** Attributes of a link that leads there; null where there is nowhere to go. */
function linkOf({ goes, to, tab, title, words, start, end, where }: Button, timeZone: string): string | null {
  if (goes === 'address') {
    const href = linkTarget(to)
    return href && `href="${href}" ${tab === 'new' ? 'target="_blank" rel="noopener"' : 'target="_top"'}`
  }
  if (goes === 'file') {
    const href = linkTarget(to)
    return href && `href="${href}" download target="_blank" rel="noopener"`
  }
  if (goes === 'phone') {
    const number = to.replace(/[^\d+*#]/g, '')
    return number && `href="tel:${escapeAttribute(number)}"`
  }
  if (goes === 'place') {
    const name = to.replace(/^#/, '')
    return name && `href="#${escapeAttribute(encodeURIComponent(name))}" target="_top"`
  }
  if (goes === 'date' && start) {
    const date = { title: title || words, start: instantOf(start, timeZone), place: where }
    const ics = icsOf({ ...date, ...(end ? { end: instantOf(end, timeZone) } : {}) })
    const href = `data:text/calendar;charset=utf-8,${encodeURIComponent(ics)}`
    return `href="${escapeAttribute(href)}" download="${escapeAttribute(fileName(date.title))}"`
  }
  return null
}

/** A button as HTML: a link where it leads anywhere, else a button that the behaviour listens to; '' where it would do nothing. */
export function buttonHtml(button: Button, timeZone: string, isFirst: boolean): string {
  const { goes, words, widget } = button
  const named = `class="b${isFirst ? ' b1' : ''}" part="button"`
  if (goes === 'close') return `<button type="button" ${named} data-closes>${escapeText(words)}</button>`
  if (goes === 'widget')
    return widget
      ? `<button type="button" ${named} data-opens="${escapeAttribute(widget)}" aria-haspopup="dialog">${escapeText(words)}</button>`
      : ''
  const link = linkOf(button, timeZone)
  return link ? `<a ${named} data-answers ${link}>${escapeText(words)}</a>` : ''
}
