import type { Install } from '../installs/models'
import { planned, type Scene } from './scene'
import type { Person, TestSystem } from './system'

/** A form that was published and stands planned on the scene's page. */
export interface StandingForm {
  widgetId: string
  install: Install
}

/** @param region each stands in another: one widget stands once in a placement */
export async function standingForm(
  person: Person,
  scene: Scene,
  { starter, region = 'main', settings = {} }: { starter: string; region?: string; settings?: object },
): Promise<StandingForm> {
  const { id: widgetId } = (await person.post('/api/widgets', { kind: 'form', starter })).body as { id: string }
  const { draft } = (await person.get(`/api/widgets/${widgetId}`)).body as {
    draft: { settings: object; version: number }
  }
  const saved = (
    await person.put(`/api/widgets/${widgetId}/draft`, {
      settings: { ...draft.settings, ...settings },
      version: draft.version,
    })
  ).body as { version: number }
  const published = await person.post(`/api/widgets/${widgetId}/releases`, { version: saved.version })
  if (published.status !== 200) throw new Error(JSON.stringify(published.body))
  return { widgetId, install: await planned(person, scene, region, widgetId) }
}

let keys = 0

/** What a visitor's browser sends. @param more names of the form's own, beginning with _, stand over the usual */
export const submit = (
  system: TestSystem,
  { install }: StandingForm,
  fields: Record<string, string | string[]>,
  {
    ip = `198.51.${keys % 250}.1`,
    accept = 'application/json',
    release = 1,
  }: { ip?: string; accept?: string; release?: number } = {},
) => {
  const body = new URLSearchParams()
  const whole = { _key: `key-of-a-test-${keys++}`, _took: '10000', _page: '/orchard', ...fields }
  for (const [name, values] of Object.entries(whole)) for (const value of [values].flat()) body.append(name, value)
  return system.app.inject({
    method: 'POST',
    url: `/w1/${install.publicId}?r=${release}`,
    headers: { 'content-type': 'application/x-www-form-urlencoded', accept },
    remoteAddress: ip,
    payload: body.toString(),
  })
}
