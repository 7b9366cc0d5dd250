import { giving } from '../../packages/server/src/testing/faults/host'
import { address } from '../owner'
import { askCheck, ended, plannedSite, type PlannedSite } from '../planned-site'
import { plannedForm, REPLIES } from '../planned-form'
import { until, type Ground } from './ground'
import { mailsTo, sendForm } from './sent-form'

const HOUR_MS = 3_600_000
const shifted = new URL('shifted-clock.mjs', import.meta.url).href

/** The server's clock is an hour ahead, an hour behind, and right again, while the database's is right all the time. */
export default async function clock(ground: Ground): Promise<void> {
  const site = await plannedSite(ground.owner, 'clock', 2, giving('<main>Hello</main>'))
  const { path } = await plannedForm(ground.owner, {
    name: 'Sent at any hour',
    starter: 'voucher',
    delivery: REPLIES,
  })
  for (const [name, by] of [
    ['an hour ahead', HOUR_MS],
    ['an hour behind', -HOUR_MS],
    ['right again', 0],
  ] as const) {
    await ground.startAgain(by ? { NODE_OPTIONS: `--import ${shifted}`, SHIFTED_BY: String(by) } : {})
    const faults = await whatFails(ground, site, path, `clock${by}`)
    ground.note(
      `the server’s clock is ${name}`,
      faults.join('; ') || 'who is signed in stays so, checks end, releases and replies go out, private links open',
      !faults.length,
    )
  }
  await site.stop()
}

async function whatFails(ground: Ground, site: PlannedSite, form: string, name: string): Promise<string[]> {
  const { owner } = ground
  const faults: string[] = []
  const must = (isSo: boolean, otherwise: string) => void (isSo || faults.push(otherwise))
  const { user } = await owner.ask<{ user: object | null }>('GET', '/api/session')
  must(user !== null, 'whoever signs in is out at once')
  must((await ended(owner, await askCheck(owner, site.installs[0]!), 60_000)) === 'done', 'a check does not end')

  const { widgetId, publicId } = await owner.ask<{ widgetId: string; publicId: string }>(
    'GET',
    `/api/installs/${site.installs[0]}`,
  )
  type Draft = { settings: object; version: number }
  const { draft } = await owner.ask<{ draft: Draft }>('GET', `/api/widgets/${widgetId}`)
  const saved = await owner.ask<Draft>('PUT', `/api/widgets/${widgetId}/draft`, {
    settings: { ...draft.settings, title: 'own', titleText: name },
    version: draft.version,
  })
  await owner.ask('POST', `/api/widgets/${widgetId}/releases`, { version: saved.version, despite: true })
  const shows = async () => (await (await fetch(`${address}/p2/${publicId}.json`)).text()).includes(name)
  must(await until(shows, 60_000), 'a release does not come to visitors')

  const visitor = `${name}@visitor.example`
  const status = await sendForm(form, { email: visitor, consent: 'yes' })
  must(status === 200, `a form is answered with ${status}`)
  const came = async () => (await mailsTo(visitor, ground.own.standinsPort)).length > 0
  must(await until(came, 60_000), 'its reply does not go out')

  const [install] = site.installs
  await owner.ask('POST', '/api/sheets', { purpose: 'paste', scope: 'install', id: install })
  const { rows } = await owner.ask<{ rows: { address: string }[] }>('GET', `/api/sheets?installId=${install}`)
  const opened = await fetch(rows[0]!.address)
  must(opened.status === 200, `a private link made now is answered with ${opened.status}`)
  return faults
}
