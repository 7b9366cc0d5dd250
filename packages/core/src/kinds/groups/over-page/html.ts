import { escapeAttribute } from '../../../markup'
import type { View } from '../../kind'
import { inLanguage } from '../../outermost'
import { formGroup, type FormSettings } from '../form'
import { messageGroup, type MessageSettings } from '../message'

export type Said = MessageSettings & FormSettings & { locale: string; labels: { close: string } }

/**
 * The shell of something over the page.
 * @param tag `dialog` where the page behind it is not usable meanwhile
 * @param more what the kind says beside its message, as HTML
 */
export function overPageHtml(
  { settings, context }: View<Said>,
  { tag, className, more = '' }: { tag: 'dialog' | 'section'; className: string; more?: string },
): string {
  const close = `<button type="button" class="cx" part="close" data-closes aria-label="${escapeAttribute(settings.labels.close)}"><span aria-hidden="true">×</span></button>`
  const beside = settings.picture && settings.picturePlace && settings.picturePlace !== 'above' ? ' pp' : ''
  return (
    `<${tag} class="ov ${className}" ${inLanguage(settings)} ${messageGroup.namedBy(settings, context)}>` +
    `<div class="w${beside}" part="widget">${messageGroup.html(settings, context, more + formGroup.html(settings, context))}${close}</div></${tag}>`
  )
}
