import { escapeAttribute, escapeText } from '../../../markup'
import { richHtml } from '../../../rich-text'
import type { RenderContext } from '../../kind'
import { pictureHtml } from '../../picture-html'
import { usualAround } from '../../spoken'
import { buttonHtml } from './buttons'
import type { MessageSettings } from './settings'

/** Id of the heading, within the widget's own tree. */
const HEADING = 'heading'

/** What names it to who does not see it: its heading, or the widget's name. */
export const namedBy = ({ heading }: MessageSettings, { widgetName }: RenderContext) =>
  heading ? `aria-labelledby="${HEADING}"` : `aria-label="${escapeAttribute(widgetName)}"`

/** Px that its picture is wide at most. */
export const PICTURE_WIDTH = 800

/** Picture, words, what is inside, buttons and small print. */
export function messageHtml(settings: MessageSettings, context: RenderContext, more = ''): string {
  const { heading, body, small, buttons, picture = '', pictureAlt = '', inside } = settings
  const { timeZone } = context.around ?? usualAround
  // Visitors are given our copies alone; on the workbench, where nobody says which there are, the picture itself.
  const shown = context.pictures ? context.pictures[picture] : { url: picture, width: null, height: null }
  const pictured =
    picture && shown
      ? pictureHtml({ ...shown, alt: pictureAlt }, { className: 'pc', part: 'picture', width: PICTURE_WIDTH })
      : ''
  const pressed = buttons.map((button, i) => buttonHtml(button, timeZone, i === 0)).join('')
  const said =
    (heading ? `<h2 class="h" id="${HEADING}" part="heading">${escapeText(heading)}</h2>` : '') +
    (body.length ? `<div class="tx" part="text">${richHtml(body, 'target="_top"')}</div>` : '') +
    more +
    (inside && context.inside ? '<div class="is" data-inside></div>' : '') +
    (pressed ? `<div class="bs">${pressed}</div>` : '') +
    (small ? `<p class="sp" part="meta">${escapeText(small)}</p>` : '')
  return `${pictured}<div class="in">${said}</div>`
}
