import pg from 'pg'
import sharp from 'sharp'
import { giving, slowly } from '../../packages/server/src/testing/faults/host'
import { address } from '../owner'
import { askCheck, ended, plannedSite } from '../planned-site'
import { plannedForm, REPLIES } from '../planned-form'
import { pause, until, type Ground } from './ground'
import { mailsTo, sendForm } from './sent-form'

/** The server ends outright in the middle of what it does, and is started again on what it left. */
export default async function killed(ground: Ground): Promise<void> {
  await duringChecks(ground)
  await duringPublish(ground)
  await duringImport(ground)
  await duringUpload(ground)
  await duringMail(ground)
}

async function duringChecks(ground: Ground): Promise<void> {
  const site = await plannedSite(ground.owner, 'killed', 12, slowly(400, giving('<main>Hello</main>')))
  const checks: string[] = []
  for (const install of site.installs) checks.push(await askCheck(ground.owner, install))
  await pause(900)
  await ground.killAndStart()
  const states = await Promise.all(checks.map((id) => ended(ground.owner, id, 400_000)))
  const done = states.filter((state) => state === 'done').length
  ground.note('kill -9 with twelve checks under way', `${done} of 12 done after the start`, done === 12)
  await site.stop()
}

/** Ms after which a job whose worker was killed has been taken up by another, and done (the queue waits for two minutes). */
const TAKEN_UP_MS = 240_000

/** Ms after the call: before it is read, within its transaction, while installs are drawn. */
const MOMENTS = [5, 20, 60, 150, 400, 1200]

async function duringPublish(ground: Ground): Promise<void> {
  const site = await plannedSite(ground.owner, 'published', 60, giving('<main>Hello</main>'))
  await ground.settled()
  const { widgetId } = await ground.owner.ask<{ widgetId: string }>('GET', `/api/installs/${site.installs[0]}`)
  type Widget = {
    draft: { settings: object; version: number }
    releases: { number: number; settings: { titleText: string } }[]
  }
  const read = () => ground.owner.ask<Widget>('GET', `/api/widgets/${widgetId}`)
  const faults: string[] = []
  let published = 0
  for (const [at, ms] of MOMENTS.entries()) {
    const before = await read()
    const heading = `Killed after ${ms} ms`
    const saved = await ground.owner.ask<{ version: number }>('PUT', `/api/widgets/${widgetId}/draft`, {
      settings: { ...before.draft.settings, title: 'own', titleText: heading },
      version: before.draft.version,
    })
    const publishing = ground.owner
      .ask('POST', `/api/widgets/${widgetId}/releases`, { version: saved.version })
      .catch(() => null)
    await pause(ms)
    await ground.killAndStart()
    await publishing
    const after = await read()
    const isThere = after.releases.length > before.releases.length
    published += Number(isThere)
    if (!JSON.stringify(after.draft.settings).includes(heading)) faults.push(`draft ${at} is lost`)
    if (after.releases.length > before.releases.length + 1) faults.push(`release ${at} is there twice`)
    const shown = after.releases[0]!.settings.titleText
    const ids = await publicIds(ground, site.installs)
    const allShow = await until(async () => {
      const bodies = await Promise.all(ids.map(async (id) => (await fetch(`${address}/p2/${id}.json`)).text()))
      return bodies.every((body) => body.includes(shown))
    }, TAKEN_UP_MS)
    if (!allShow) faults.push(`not all installs show release ${after.releases[0]!.number}`)
  }
  ground.note(
    `kill -9 during publishing to 60 installs, after ${MOMENTS.join(', ')} ms`,
    faults.join('; ') ||
      `${published} of ${MOMENTS.length} releases are there, whole; every install shows the newest one`,
    !faults.length,
  )
  await site.stop()
}

const publicIds = (ground: Ground, installs: readonly string[]) =>
  Promise.all(
    installs.map(async (id) => (await ground.owner.ask<{ publicId: string }>('GET', `/api/installs/${id}`)).publicId),
  )

async function counted(ground: Ground, sql: string, values: unknown[] = []): Promise<number> {
  const client = new pg.Client({ connectionString: ground.system.databaseUrl })
  await client.connect()
  try {
    return Number((await client.query<{ n: string }>(sql, values)).rows[0]!.n)
  } finally {
    await client.end()
  }
}

const ROWS = 4000

async function duringImport(ground: Ground): Promise<void> {
  const text = `Author,Date,Rating,Text\n${Array.from({ length: ROWS }, (_, n) => `Visitor ${n},2026-03-05,5,A fine crossing number ${n}`).join('\n')}`
  const seen: number[] = []
  for (const ms of [50, 200, 500, 900, 1400]) {
    const { id } = await ground.owner.ask<{ id: string }>('POST', '/api/sources/kept', { title: `Import ${ms}` })
    const importing = ground.owner
      .ask('POST', `/api/sources/${id}/file`, { text, keep: 'if all are right' })
      .catch(() => null)
    await pause(ms)
    await ground.killAndStart()
    await importing
    seen.push(await counted(ground, 'SELECT count(*) AS n FROM items WHERE source_id = $1', [id]))
  }
  ground.note(
    `kill -9 during the import of ${ROWS} reviews, at five moments`,
    `${seen.join(', ')} are there`,
    seen.every((n) => n === 0 || n === ROWS),
  )
}

async function duringUpload(ground: Ground): Promise<void> {
  const noise = await sharp({
    create: {
      width: 2400,
      height: 1600,
      channels: 3,
      background: '#888',
      noise: { type: 'gaussian', mean: 128, sigma: 20 },
    },
  })
    .jpeg()
    .toBuffer()
  const data = noise.toString('base64')
  for (const ms of [50, 300, 700, 1200, 2000]) {
    const uploading = ground.owner.ask('POST', '/api/uploads', { alt: `Killed ${ms}`, data }).catch(() => null)
    await pause(ms)
    await ground.killAndStart()
    await uploading
  }
  const halves = await counted(
    ground,
    `SELECT count(*) AS n FROM pictures p WHERE content_hash IS NOT NULL
     AND cardinality(ARRAY(SELECT DISTINCT width FROM picture_copies c WHERE c.content_hash = p.content_hash)) <> jsonb_array_length(to_jsonb(widths))`,
  )
  const whole = await ground.owner.ask<{ own: object | null }>('POST', '/api/uploads', { alt: 'Whole', data })
  ground.note(
    'kill -9 while an uploaded picture is stored, at five moments',
    `${halves} pictures with copies missing; the same picture ${whole.own ? 'can' : 'cannot'} be uploaded afterwards`,
    halves === 0 && whole.own !== null,
  )
}

const MAILS = 30

async function duringMail(ground: Ground): Promise<void> {
  const { path } = await plannedForm(ground.owner, {
    name: 'Replies to thirty',
    starter: 'voucher',
    delivery: REPLIES,
  })
  const visitors = Array.from({ length: MAILS }, (_, n) => `reader-${n}@mails-${n}.example`)
  await Promise.all(visitors.map((email) => sendForm(path, { email, consent: 'yes' })))
  for (const ms of [300, 700]) {
    await pause(ms)
    await ground.killAndStart()
  }
  const numbers = async () =>
    Promise.all(visitors.map(async (visitor) => (await mailsTo(visitor, ground.own.standinsPort)).length))
  const allCame = await until(async () => (await numbers()).every((n) => n > 0), 60_000)
  await pause(3000)
  const all = await numbers()
  const twice = all.filter((n) => n > 1).length
  ground.note(
    `kill -9 twice while ${MAILS} replies are sent`,
    `${all.filter((n) => n > 0).length} of ${MAILS} came, ${twice} of them twice`,
    allCame && twice === 0,
  )
}
