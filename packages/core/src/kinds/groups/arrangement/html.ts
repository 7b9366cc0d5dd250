import { escapeAttribute, escapeText } from '../../../markup'
import { inOneRow } from './columns'
import type { ArrangementSettings } from './settings'

/** Words of the buttons that move a row along, as settings. */
export const movingWords = {
  previous: { label: 'Button back', byDefault: 'Previous' },
  next: { label: 'Button on', byDefault: 'Next' },
  pause: { label: 'Button to stop', byDefault: 'Stop moving' },
  resume: { label: 'Button to go on', byDefault: 'Go on moving' },
}
export type MovingWords = Record<keyof typeof movingWords, string>

/** The list with what moves it along around it. */
export function arrangementHtml(s: ArrangementSettings, cells: string, name: string, words: MovingWords): string {
  if (!inOneRow(s)) return `<ul class="l" role="list">${cells}</ul>`
  const button = (className: string, label: string, sign: string) =>
    `<button type="button" class="${className}" aria-label="${escapeAttribute(label)}"><span aria-hidden="true">${sign}</span></button>`
  const pause =
    s.moves === 'no'
      ? ''
      : `<button type="button" class="ks" data-pause="${escapeAttribute(words.pause)}" data-resume="${escapeAttribute(words.resume)}" aria-label="${escapeAttribute(words.pause)}"><span aria-hidden="true">‖</span></button>`
  return (
    `<div class="k" role="group" aria-roledescription="carousel" aria-label="${escapeAttribute(name)}">` +
    `<ul class="l" role="list" tabindex="0" aria-label="${escapeText(name)}">${cells}</ul>` +
    `<div class="kb">${button('kp', words.previous, '‹')}${button('kn', words.next, '›')}${pause}</div></div>`
  )
}
