import { address, escapeAttribute, escapeText } from '../../markup'
import { arrangementGroup, clickGroup, datesGroup, elsewhereGroup, headingGroup, moreGroup } from '../groups'
import type { View } from '../kind'
import { outermost } from '../outermost'
import { pictureHtml } from '../picture-html'
import { hasCover, hasSmall, linesOf, placeOfWords, widestCover } from './box'
import { TINTS } from './css'
import type { PicksSettings } from './settings'
import type { picksOf, ShownPick } from './view'

/** Px: a cover across a cell, as wide as most are, and one that stands alone. */
const WIDTHS = { cell: 320, alone: 800 }

/** @param shown those that are there at once */
export function picksHtml(
  { settings, context }: View<PicksSettings>,
  { heading, description, link, picks }: ReturnType<typeof picksOf>,
  shown: readonly ShownPick[],
): string {
  return outermost(
    settings,
    context,
    headingGroup.html(heading, description) +
      arrangementGroup.html(settings, cells(shown, settings), heading || context.widgetName, settings.labels) +
      (shown.length < picks.length ? moreGroup.button(settings.labels.more) : '') +
      elsewhereGroup.html(link),
  )
}

/** @param from number of the first */
export const cells = (picks: readonly ShownPick[], settings: PicksSettings, from = 0): string =>
  picks.map((pick, at) => cell(pick, settings, from + at)).join('')

function cell(pick: ShownPick, settings: PicksSettings, at: number): string {
  const lines = linesOf(pick, settings)
  const isSaid = placeOfWords(settings) !== 'none'
  const classes = ` n${lines.title}${lines.note ? ` x${lines.note}` : ''}${hasSmall(pick) ? ' s1' : ''}`
  const language = pick.language ? ` lang="${escapeAttribute(pick.language)}"` : ''
  return (
    `<li class="c" part="item">${hasCover(settings) ? `<div class="g">${cover(pick, settings, at)}</div>` : ''}` +
    `<div class="b${classes}"><h3 class="n" part="title" dir="auto"${language}>${linked(pick, settings)}</h3>` +
    (lines.note && isSaid ? `<p class="x" part="text" dir="auto"${language}>${escapeText(pick.note)}</p>` : '') +
    (hasSmall(pick) && isSaid ? `<p class="s" part="meta">${small(pick, settings)}</p>` : '') +
    `</div></li>`
  )
}

const small = ({ site, date, iso }: ShownPick, settings: PicksSettings): string =>
  [site && escapeText(site), date && datesGroup.html(settings, iso, date)].filter(Boolean).join(' · ')

function linked({ title, link }: ShownPick, settings: PicksSettings): string {
  const href = address(link)
  return href
    ? `<a class="a" part="link" href="${href}" ${clickGroup.attributes(settings)}>${escapeText(title)}</a>`
    : escapeText(title)
}

function cover({ picture, initial, title }: ShownPick, settings: PicksSettings, at: number): string {
  const tint = [...title].reduce((sum, letter) => sum + letter.codePointAt(0)!, 0) % TINTS
  if (!picture) return `<span part="picture" class="p i t${tint}" aria-hidden="true">${escapeText(initial)}</span>`
  const alone =
    settings.layout === 'one' || settings.layout === 'list' || (settings.layout === 'large-first' && at === 0)
  const width = Math.min(alone ? WIDTHS.alone : WIDTHS.cell, widestCover(settings))
  // Its title stands beside it.
  return pictureHtml(
    { ...picture, alt: '' },
    { className: 'p', part: 'picture', width, sized: settings.ratio === 'own' },
  )
}
