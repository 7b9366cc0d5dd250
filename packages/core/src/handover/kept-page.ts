import { escapeAttribute, escapeText } from '../markup'
import type { Region } from '../platforms'
import type { SpokenLanguage } from '../words'
import { page } from './sheet-frame'
import { speaker } from './sheet'

/** What stands on a client's site. Times are written in its language. */
export interface KeptThing {
  widget: string
  page: string
  url: string | null
  region: Region | null
  since: string | null
  lastSeen: string | null
}

/** What somebody wrote into a form on a client's site. */
export interface KeptAnswer {
  at: string
  form: string
  page: string
  lines: readonly { label: string; says: string }[]
}

/**
 * A client's own page: what stands on their site, where, since when, and when it was last seen; what visitors wrote, where the agency
 * passes that on. Nothing can be changed there.
 */
export function keptPage(given: {
  language: SpokenLanguage
  agency: string
  site: string
  things: readonly KeptThing[]
  answers: readonly KeptAnswer[]
  ends: string
}): string {
  const say = speaker(given)
  const title = say('kept')
  const rows = given.things.map(
    ({ widget, page: at, url, region, since, lastSeen }) =>
      `<tr><th scope="row">${escapeText(widget)}</th><td>${url ? `<a href="${escapeAttribute(url)}" target="_blank" rel="noopener noreferrer">${escapeText(at)}</a>` : escapeText(at)}, ${escapeText(say(region ?? 'overPage'))}</td><td>${[
        since && say('since', { date: since }),
        lastSeen && say('lastSeen', { date: lastSeen }),
      ]
        .filter((one) => one !== null)
        .map((one) => escapeText(one))
        .join('<br>')}</td></tr>`,
  )
  return page({
    language: given.language,
    title,
    refreshes: false,
    body: `<h1>${escapeText(title)}</h1>${rows.length ? `<table>${rows.join('')}</table>` : `<p>${escapeText(say('nothing'))}</p>`}${answersHtml(given.answers, say('wrote'))}<footer><p>${escapeText(say('ends', { date: given.ends }))}</p></footer>`,
  })
}

const answersHtml = (answers: readonly KeptAnswer[], title: string): string =>
  answers.length
    ? `<h2>${escapeText(title)}</h2>${answers
        .map(
          ({ at, form, page, lines }) =>
            `<section class="wrote"><h3>${escapeText(form)}</h3><p>${escapeText([at, page].filter(Boolean).join(', '))}</p><dl>${lines
              .map(
                ({ label, says }) =>
                  `<dt>${escapeText(label)}</dt><dd dir="auto">${escapeText(says).replaceAll('\n', '<br>')}</dd>`,
              )
              .join('')}</dl></section>`,
        )
        .join('')}`
    : ''
