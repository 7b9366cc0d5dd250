import { escapeText } from '../../markup'
import type { View } from '../kind'
import { outermost } from '../outermost'
import type { VisitCounterSettings } from './settings'
import { shownCounts, type Count } from './view'

type Settings = VisitCounterSettings

const styles: Record<Settings['style'], (counts: Count[], settings: Settings) => string> = {
  line: (counts) =>
    `<p class="n" part="row">${counts.map(({ name, said }) => `<span class="i">${escapeText(name)} <b>${escapeText(said)}</b></span>`).join(' ')}</p>`,
  table: (counts) =>
    `<table class="n" part="row"><tbody>${counts.map(({ name, said }) => `<tr><th scope="row">${escapeText(name)}</th><td>${escapeText(said)}</td></tr>`).join('')}</tbody></table>`,
  // The digits are a picture of the number; who hears the page hears the number itself.
  digits: (counts, { digits }) =>
    counts
      .map(
        ({ name, value, said }) =>
          `<p class="n" part="row"><span class="k">${escapeText(name)}</span><span class="v">${escapeText(said)}</span><span class="o" part="digits" aria-hidden="true">${[
            ...String(value).padStart(digits, '0'),
          ]
            .map((digit) => `<i>${digit}</i>`)
            .join('')}</span></p>`,
      )
      .join(''),
}

export function visitCounterHtml({ settings, context }: View<Settings>): string {
  const shown = shownCounts(settings, context.facts.visits)
  return outermost(
    settings,
    context,
    (settings.title ? `<h2 class="h" part="heading">${escapeText(settings.title)}</h2>` : '') +
      styles[settings.style](shown, settings),
  )
}
