import { framePage, payloadOf, widgetPage, type Surroundings } from '@pebblestrand/core/artefacts'
import type { FaultCode, FieldFault, PollResult } from '@pebblestrand/core/forms'
import { faultLabels } from '@pebblestrand/core/forms'
import type { FormFact } from '@pebblestrand/core/kinds'
import { dateFormat, labels, numberFormat, spokenLanguage } from '@pebblestrand/core/words'
import { homeLanguages, spokenOn } from '../sites/note-language'
import { Page, Site } from '../sites/models'
import { Install } from '../installs/models'
import { rendererFor } from '../delivery/render-widget'
import { Release, Widget } from '../widgets/models'
import type { Context } from '../platform/context'
import { agencyName } from '../accounts/setup'
import type { KnownForm } from './known-forms'

/** What is wrong, in words. */
export function faultWords({ code, limit }: FieldFault, locale: string): string {
  const template = labels[spokenLanguage(locale).labels][faultLabels[code as FaultCode]]
  const n =
    typeof limit === 'string'
      ? dateFormat(locale, { dateStyle: 'long', timeZone: 'UTC' }).format(new Date(`${limit}T00:00:00Z`))
      : limit === undefined
        ? ''
        : numberFormat(locale).format(limit)
  return template.replace('{n}', n)
}

export interface Answered {
  /** What was sent, where it is to be mended. */
  wrong?: { values: Readonly<Record<string, unknown>>; faults: Readonly<Record<string, FieldFault>> }
  arrived?: { results: readonly PollResult[] }
}

/** The form as a page again, for who sent it without a script: with what is wrong, or with what comes once it has arrived. */
export async function answerPage(context: Context, known: KnownForm, { wrong, arrived }: Answered): Promise<string> {
  const widget = (await Widget.findByPk(known.widgetId))!
  const release = (await Release.findOne({ where: { widgetId: known.widgetId, number: known.release } }))!
  const install = (await Install.findByPk(known.installId))!
  const page = (await Page.findByPk(install.pageId, { include: Site }))!
  const homes = await homeLanguages([page.siteId])
  const language = spokenOn(page, page.Site, homes.get(page.siteId) ?? null)
  const around = { language, timeZone: known.timeZone, credit: null }
  const renderer = (await rendererFor(context, widget, release))!
  const locale = spokenLanguage(
    (known.settings.locale === 'page' ? language : (known.settings.locale as string)) ?? undefined,
  ).tag
  const fact: FormFact = {
    ...(wrong
      ? {
          filled: {
            values: wrong.values,
            faults: Object.fromEntries(
              Object.entries(wrong.faults).map(([name, fault]) => [name, faultWords(fault, locale)]),
            ),
          },
        }
      : {}),
    ...(arrived ? { arrived } : {}),
  }
  const { rendered } = renderer.render({ form: fact }, around)
  // What a script would do with it, a page that is only an answer does without.
  const payload = payloadOf(
    { ...rendered, behaviours: [] },
    { release: known.release, name: known.widget, widget: known.widgetId },
  )
  const { look } = page.Site!
  const surroundings: Surroundings = {
    origin: context.config.origin,
    publicId: known.publicId,
    look: look ?? null,
    site: { name: known.site, origin: known.origin },
    width: 0,
    height: 0,
    agency: await agencyName(),
    indexed: false,
  }
  return install.method === 'frame'
    ? framePage(payload, surroundings)
    : widgetPage(payload, surroundings, { robots: 'noindex', css: 'body{margin:0 auto;padding:24px;max-width:640px}' })
}
