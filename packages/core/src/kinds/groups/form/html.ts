import { SENT, type PollResult } from '../../../forms'
import { escapeText } from '../../../markup'
import { richHtml } from '../../../rich-text'
import { counted, labels, numberFormat, spokenLanguage } from '../../../words'
import { usualAround } from '../../spoken'
import type { RenderContext } from '../../kind'
import { messageGroup } from '../message'
import { say, stepsHtml, type Filled } from './fields-html'
import type { FormSettings } from './settings'

/** What the server knows of a form that was sent without a script (`RenderContext.facts.form`). */
export interface FormFact {
  filled?: Filled
  /** It has arrived: what comes then. */
  arrived?: { results: readonly PollResult[] }
}

export const factIn = ({ facts }: RenderContext): FormFact => (facts.form ?? {}) as FormFact

/** What all answered, as bars: meters, since a strict style policy takes no widths from markup. */
export const resultsHtml = (results: readonly PollResult[], locale: string): string =>
  results
    .map(({ label, bars }) => {
      const all = bars.reduce((sum, { count }) => sum + count, 0)
      const percent = numberFormat(locale, { style: 'percent', maximumFractionDigits: 0 })
      const rows = bars
        .map(
          ({ words, share }) =>
            `<tr><th scope="row">${escapeText(words)}</th><td><meter part="bars" min="0" max="1" value="${share.toFixed(4)}">${percent.format(share)}</meter></td><td>${percent.format(share)}</td></tr>`,
        )
        .join('')
      const count = counted(labels[spokenLanguage(locale).labels].answers, all, locale)
      return `<table class="pr" part="row"><caption>${escapeText(label)} <small>${escapeText(count)}</small></caption><tbody>${rows}</tbody></table>`
    })
    .join('')

/** What stands in its place once it has arrived. */
function afterHtml(
  { thanks, afterButton, locale }: FormSettings,
  context: RenderContext,
  { arrived }: FormFact,
): string {
  const { timeZone } = context.around ?? usualAround
  const said = thanks.length ? richHtml(thanks, 'target="_top"') : `<p>${escapeText(say('arrived', locale))}</p>`
  const button = afterButton.map((one) => messageGroup.buttonHtml(one, timeZone, true)).join('')
  return (
    `<div class="dn" part="text" role="status" tabindex="-1"${arrived ? '' : ' hidden'}><div class="tx">${said}</div>` +
    `<div class="rs">${arrived ? resultsHtml(arrived.results, locale) : ''}</div>` +
    `${button ? `<div class="bs">${button}</div>` : ''}</div>`
  )
}

/**
 * A form as HTML: what a script brings to life, and what works without one on a page of ours, which puts in where it is sent
 * (artefacts/frame-page.ts). '' where there are no fields.
 */
export function formHtml(settings: FormSettings, context: RenderContext): string {
  const { fields, formWords, locale } = settings
  if (!fields) return ''
  const fact = factIn(context)
  const filled = fact.filled ?? { values: {}, faults: {} }
  const isWrong = Object.keys(filled.faults).length > 0
  const many = fields.steps.length > 1
  const form =
    `<form class="fm" part="form" method="post">` +
    (many
      ? `<div class="pg" hidden><span class="pn"></span><progress max="${fields.steps.length}" value="1"></progress></div>`
      : '') +
    stepsHtml(fields, { locale, optional: formWords.optional, filled }) +
    // Nobody sees it and no key reaches it; who fills in everything fills it in.
    `<div class="tr" aria-hidden="true"><label>${escapeText(say('leaveEmpty', locale))} <input name="${SENT.trap}" tabindex="-1" autocomplete="off"></label></div>` +
    `<p class="ms" role="status">${isWrong ? escapeText(say('mendMarked', locale)) : ''}</p>` +
    `<div class="bs">` +
    (many
      ? `<button type="button" class="b bk" part="button" hidden>${escapeText(formWords.goBack)}</button><button type="button" class="b b1 nx" part="button" hidden>${escapeText(formWords.goOn)}</button>`
      : '') +
    `<button type="submit" class="b b1 sd" part="button">${escapeText(formWords.send)}</button></div></form>`
  return (fact.arrived ? '' : form) + afterHtml(settings, context, fact)
}
