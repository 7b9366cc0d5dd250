import { escapeText } from '../../markup'
import { richHtml } from '../../rich-text'
import { formGroup } from '../groups'
import type { View } from '../kind'
import { outermost } from '../outermost'
import type { FormKindSettings } from './settings'

/** Words, fields, small print. */
export const formKindHtml = ({ settings, context }: View<FormKindSettings>): string =>
  outermost(
    settings,
    context,
    '<div class="in">' +
      (settings.heading ? `<h2 class="h" part="heading">${escapeText(settings.heading)}</h2>` : '') +
      (settings.body.length ? `<div class="tx" part="text">${richHtml(settings.body, 'target="_top"')}</div>` : '') +
      formGroup.html(settings, context) +
      (settings.small ? `<p class="sp" part="meta">${escapeText(settings.small)}</p>` : '') +
      '</div>',
  )
