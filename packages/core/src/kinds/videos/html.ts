import { address, escapeAttribute, escapeText } from '../../markup'
import {
  arrangementGroup,
  clickGroup,
  datesGroup,
  elsewhereGroup,
  headingGroup,
  moreGroup,
  type Enlarged,
} from '../groups'
import type { View } from '../kind'
import { outermost } from '../outermost'
import { pictureHtml } from '../picture-html'
import { titleLines } from './box'
import type { VideosSettings } from './settings'
import type { filmsOf, ShownFilm } from './view'

/** Px: a still across a cell, as wide as most are, and one that stands alone. */
const WIDTHS = { cell: 320, alone: 800 }

/** @param shown those that are there at once */
export function filmsHtml(
  { settings, context }: View<VideosSettings>,
  { heading, description, link, films }: ReturnType<typeof filmsOf>,
  shown: readonly ShownFilm[],
): string {
  return outermost(
    settings,
    context,
    headingGroup.html(heading, description) +
      arrangementGroup.html(settings, cells(shown, settings), heading || context.widgetName, settings.labels) +
      (shown.length < films.length ? moreGroup.button(settings.labels.more) : '') +
      elsewhereGroup.html(link),
  )
}

/** @param from number of the first */
export const cells = (films: readonly ShownFilm[], settings: VideosSettings, from = 0): string =>
  films.map((film, at) => cell(film, settings, from + at)).join('')

function cell(film: ShownFilm, settings: VideosSettings, at: number): string {
  const alone =
    settings.layout === 'one' || settings.layout === 'list' || (settings.layout === 'large-first' && at === 0)
  const still = film.picture
    ? pictureHtml(
        { ...film.picture, alt: '' },
        { className: 'p', part: 'picture', width: alone ? WIDTHS.alone : WIDTHS.cell, sized: settings.ratio === 'own' },
      )
    : '<span class="p"></span>'
  const length = film.length
    ? `<span class="d" part="length" aria-hidden="true"><time datetime="${film.duration}">${film.length}</time></span>`
    : ''
  const plays = settings.click === 'enlarge' && film.player !== null
  const inner = `${still}${plays ? '<span class="y" part="mark" aria-hidden="true">▷</span>' : ''}${length}`
  return (
    `<li class="c" part="item">${around(inner, film, settings, at, plays)}` +
    `<h3 part="title" class="t t${titleLines(film, settings)}" dir="auto">${escapeText(film.title)}</h3>` +
    (film.date ? `<p class="m" part="meta">${datesGroup.html(settings, film.iso, film.date)}</p>` : '') +
    `</li>`
  )
}

/** Without the script, and where a film has no player, its original opens. */
function around(inner: string, film: ShownFilm, settings: VideosSettings, at: number, plays: boolean): string {
  const name = [`${settings.labels.play}: ${film.title}`, film.length].filter(Boolean).join(', ')
  const label = `aria-label="${escapeAttribute(name)}"`
  const href = address(film.link)
  if (plays)
    return href
      ? `<a class="g" href="${href}" target="_blank" rel="noopener" data-en="${at}" ${label}>${inner}</a>`
      : `<button type="button" class="g" data-en="${at}" ${label}>${inner}</button>`
  return href
    ? `<a class="g" href="${href}" ${clickGroup.attributes(settings)} ${label}>${inner}</a>`
    : `<div class="g">${inner}</div>`
}

export const enlargedOf = ({ title, link, player, note }: ShownFilm): Enlarged => ({
  // It is the player that is shown.
  pictures: [{ src: '', width: null, height: null, alt: title }],
  caption: title,
  lang: '',
  link: link ?? '',
  ...(player ? { player: { src: player, note } } : {}),
})
