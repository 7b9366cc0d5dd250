import { escapeAttribute } from '../../../markup'
import type { LabelPart } from '../../label-texts'
import { inOneRow } from './columns'
import type { ArrangementSettings } from './settings'

/** Words of the buttons that move a row along, as settings. */
export const movingWords = {
  previous: { label: 'Button back', says: 'previous', names: true },
  next: { label: 'Button on', says: 'next', names: true },
  pause: { label: 'Button to stop', says: 'pause', names: true },
  resume: { label: 'Button to go on', says: 'resume', names: true },
} as const satisfies Record<string, LabelPart>
export type MovingWords = Record<keyof typeof movingWords, string>

/** The list with what moves it along around it. */
export function arrangementHtml(s: ArrangementSettings, cells: string, name: string, words: MovingWords): string {
  if (!inOneRow(s)) return `<ul class="l" part="list" role="list">${cells}</ul>`
  const button = (className: string, label: string, sign: string) =>
    `<button type="button" part="button" class="${className}" aria-label="${escapeAttribute(label)}"><span aria-hidden="true">${sign}</span></button>`
  const pause =
    s.moves === 'no'
      ? ''
      : `<button type="button" part="button" class="ks" data-pause="${escapeAttribute(words.pause)}" data-resume="${escapeAttribute(words.resume)}" aria-label="${escapeAttribute(words.pause)}"><span aria-hidden="true">‖</span></button>`
  return (
    `<div class="k" role="group" aria-roledescription="carousel" aria-label="${escapeAttribute(name)}">` +
    `<ul class="l" part="list" role="list" tabindex="0" aria-label="${escapeAttribute(name)}">${cells}</ul>` +
    `<div class="kb">${button('kp', words.previous, '‹')}${button('kn', words.next, '›')}${pause}</div></div>`
  )
}
