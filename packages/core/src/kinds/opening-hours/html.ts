import { escapeAttribute, escapeText } from '../../markup'
import type { View } from '../kind'
import { outermost } from '../outermost'
import type { OpeningHoursSettings } from './settings'
import { hoursOf, specialRows, weekInLine, weekRows, type Row } from './view'

/** The class of what the behaviour fills with whether it is open now. */
const state = (words: string, { style }: OpeningHoursSettings) =>
  `<p class="s ${style}" part="text" data-open-now>${escapeText(words)}</p>`

const row = (attributes: string, { name, hours }: Row, called = '') =>
  `<tr part="item" ${attributes}><th scope="row">${escapeText(name)}${called ? ` <span part="name">${escapeText(called)}</span>` : ''}</th>` +
  `<td>${hours.map((one) => `<span>${escapeText(one)}</span>`).join('')}</td></tr>`

export function openingHoursHtml(view: View<OpeningHoursSettings>): string {
  const { settings, context } = view
  const hours = hoursOf(view)
  if (!hours) return outermost(settings, context, '')
  const heading = settings.title ? `<h2 class="h" part="heading">${escapeText(settings.title)}</h2>` : ''
  const inLine = weekInLine(hours, settings)
  if (settings.style !== 'table') return outermost(settings, context, heading + state(inLine, settings))
  const days = weekRows(hours, settings).map((one) => row(`data-first="${one.first}" data-last="${one.last}"`, one))
  const special = specialRows(hours, settings).map((one) =>
    row(`data-from="${escapeAttribute(one.from)}" data-until="${escapeAttribute(one.until)}"`, one, one.called),
  )
  return outermost(
    settings,
    context,
    heading +
      (settings.state ? state(settings.title ? '\u00a0' : settings.labels.unknown, settings) : '') +
      `<table class="t" part="list"><colgroup><col class="n"><col></colgroup><tbody>${days.join('')}</tbody>` +
      (settings.ahead > 0 && special.length ? `<tbody class="x">${special.join('')}</tbody>` : '') +
      `</table>`,
  )
}
