import { escapeAttribute, escapeText } from '../../markup'
import type { View } from '../kind'
import { countsOf, visitsFrom } from './periods'
import { periodsOf, type VisitCounterSettings } from './settings'

/** One number with its name, as it is written in the settings' language. */
interface Count {
  name: string
  value: number
  said: string
}

type Settings = VisitCounterSettings

const styles: Record<Settings['style'], (counts: Count[], settings: Settings) => string> = {
  line: (counts) =>
    `<p class="n">${counts.map(({ name, said }) => `<span class="i">${escapeText(name)} <b>${said}</b></span>`).join(' ')}</p>`,
  table: (counts) =>
    `<table class="n"><tbody>${counts.map(({ name, said }) => `<tr><th scope="row">${escapeText(name)}</th><td>${said}</td></tr>`).join('')}</tbody></table>`,
  // The digits are a picture of the number; who hears the page hears the number itself.
  digits: (counts, { digits }) =>
    counts
      .map(
        ({ name, value, said }) =>
          `<p class="n"><span class="k">${escapeText(name)}</span><span class="v">${said}</span><span class="o" aria-hidden="true">${[
            ...String(value).padStart(digits, '0'),
          ]
            .map((digit) => `<i>${digit}</i>`)
            .join('')}</span></p>`,
      )
      .join(''),
}

export function visitCounterHtml({ settings, context }: View<Settings>): string {
  const counts = countsOf(visitsFrom(context.facts.visits), settings.locale, settings.start)
  const written = new Intl.NumberFormat(settings.locale)
  const shown = periodsOf(settings).map((id) => ({
    name: settings.names[id],
    value: counts[id],
    said: escapeText(written.format(counts[id])),
  }))
  return (
    `<section class="w" lang="${escapeAttribute(settings.locale)}" aria-label="${escapeAttribute(context.widgetName)}">` +
    (settings.title ? `<h2 class="h">${escapeText(settings.title)}</h2>` : '') +
    styles[settings.style](shown, settings) +
    `</section>`
  )
}
