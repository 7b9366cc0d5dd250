import type { Owner } from './owner'

interface Wanted {
  name: string
  starter?: string
  /** Of what becomes of its answers, in place of what is usual; nobody is told of them. */
  delivery?: object
}

/** A reply at once to everybody who sends it, and no code in it. */
export const REPLIES = {
  reply: true,
  replySubject: 'Thank you',
  replyText: 'We write soon.',
  coupon: 'none',
  confirm: 'never',
  repliesPerHour: 1000,
}

/** A form on a page of the demo's. @returns its widget, and the path that it is sent to */
export async function plannedForm(
  owner: Owner,
  { name, starter, delivery }: Wanted,
): Promise<{ widgetId: string; path: string }> {
  const { id: widgetId } = await owner.ask<{ id: string }>('POST', '/api/widgets', { kind: 'form', name, starter })
  await owner.ask('POST', `/api/widgets/${widgetId}/releases`, { version: 1 })
  const usual = await owner.ask<{ delivery: object }>('GET', `/api/widgets/${widgetId}/form`)
  await owner.ask('PUT', `/api/widgets/${widgetId}/form`, { ...usual.delivery, noteAgency: 'none', ...delivery })
  const { rows } = await owner.ask<{ rows: { id: string }[] }>('GET', '/api/sites?q=Brackenfold')
  const site = await owner.ask<{ pages: { id: string }[]; placements: { id: string; region: string }[] }>(
    'GET',
    `/api/sites/${rows[0]!.id}`,
  )
  const { id } = await owner.ask<{ id: string }>('POST', '/api/installs', {
    widgetId,
    pageId: site.pages[0]!.id,
    placementId: site.placements.find(({ region }) => region === 'main')!.id,
  })
  const { publicId } = await owner.ask<{ publicId: string }>('GET', `/api/installs/${id}`)
  return { widgetId, path: `/w1/${publicId}?r=1` }
}
