import type { DeliverySettings, FormDefinition } from '@pebblestrand/core/forms'
import { kindOf, readSettings } from '@pebblestrand/core/kinds'
import { spokenLanguage } from '@pebblestrand/core/words'
import type { Transaction } from 'sequelize'
import { Site } from '../sites/models'
import { Release, Widget } from '../widgets/models'
import { deliveryOf } from './known-forms'
import { Form, type Lead } from './models'

/** What a lead answers, as it was asked then; where it stands, and what is decided about it now. */
export interface LeadForm {
  form: FormDefinition
  /** Of the widget at present. */
  name: string
  site: Site | null
  delivery: DeliverySettings
  webhookSecret: string
}

/** Null where nothing of it is known any more. A draft's own form has the number 0. */
export async function formOf(
  { widgetId, siteId, release }: Pick<Lead, 'widgetId' | 'siteId' | 'release'>,
  transaction?: Transaction,
): Promise<LeadForm | null> {
  const widget = await Widget.findByPk(widgetId, { transaction })
  const kind = widget && kindOf(widget.kind)
  if (!widget || !kind?.form) return null
  const asked = await Release.findOne({ where: { widgetId, number: release }, transaction })
  const stored = asked ?? { settings: widget.draft, kindVersion: widget.kindVersion }
  const form = kind.form(readSettings(kind, stored.settings, stored.kindVersion))
  if (!form) return null
  const decided = await Form.findByPk(widgetId, { transaction })
  return {
    form,
    name: widget.name,
    site: siteId ? await Site.findByPk(siteId, { transaction }) : null,
    delivery: deliveryOf(widget, decided?.delivery),
    webhookSecret: decided?.webhookSecret ?? '',
  }
}

/** The language of a lead's form, for what is written to who sent it. */
export const spokenIn = (language: string) => {
  const { tag, direction } = spokenLanguage(language)
  return { lang: tag, direction }
}
