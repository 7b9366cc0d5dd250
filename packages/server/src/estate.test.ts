import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Lead } from './forms/models'
import { fillEstate } from './testing/estate'
import { standingForm, submit } from './testing/forms'
import { planned, setScene } from './testing/scene'
import { Person, startTestSystem, type TestSystem } from './testing/system'

// The register of a large agency: what is asked of the database grows with what is shown, not with what there is.

/** Tables that grow for as long as an agency works. None of them is read whole to show a screen. */
const GROWING = [
  'activity',
  'checks',
  'findings',
  'lead_deliveries',
  'leads',
  'looks',
  'mails',
  'readings',
  'visit_counts',
]
/** Of one answer, beside who asks. */
const MOST_QUERIES = 12

/** Who asks, connections that begin, frames of transactions, and the queue's own looking round. */
const BESIDE = /^\s*(SET |START |BEGIN|COMMIT)|"sessions" AS "Session"|\bqueue\.(job|version|queue)\b/

/** Rows of a growing table that one query may go through: a count of all leads does. */
const MOST_ROWS = 30_000

interface Query {
  text: string
  values: unknown[]
}
interface Plan {
  'Node Type': string
  'Relation Name'?: string
  'Actual Rows': number
  'Actual Loops': number
  'Rows Removed by Filter'?: number
  Plans?: Plan[]
}

let system: TestSystem
let ada: Person
let addresses: Record<string, string>
let asked: Query[] = []
const query = pg.Client.prototype.query as (...args: unknown[]) => Promise<{ rows: Record<string, unknown>[] }>

/** What the driver is given, whichever way: a text and its values, or both in one. */
function queryOf([first, second]: unknown[]): Query | null {
  const whole = typeof first === 'string' ? { text: first } : (first as { text?: string; values?: unknown[] })
  if (!whole?.text) return null
  return { text: whole.text, values: Array.isArray(second) ? second : ((whole as Query).values ?? []) }
}

beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  const scene = await setScene(system, ada)
  const install = await planned(ada, scene, 'sidebar')
  const form = await standingForm(ada, scene, { starter: 'call-back' })
  await system.work()
  await submit(system, form, { name: 'Isla Fearn', telephone: '+44 1632 960 001', when: 'morning' })
  await system.work()
  const lead = (await Lead.findOne())!
  await fillEstate(system.context.db, { widgetId: scene.widgetId, formId: form.widgetId })
  await ada.post('/api/sheets', { scope: 'site', id: scene.siteId, purpose: 'paste' })
  const sheets = `/api/sheets?siteId=${scene.siteId}`
  const { rows } = (await ada.get(sheets)).body as { rows: { address: string }[] }
  addresses = {
    today: '/api/today',
    register: '/api/installs',
    'register, filtered': `/api/installs?status=needs-a-hand&finding=absent&sort=checked&dir=down&page=3`,
    'ids of the register': '/api/installs/ids',
    'filters of the register': '/api/installs/filters',
    'an install': `/api/installs/${install.id}`,
    'its checks': `/api/installs/${install.id}/checks`,
    'what is open there': `/api/installs/${install.id}/open`,
    sites: '/api/sites',
    'a site': `/api/sites/${scene.siteId}`,
    'its rehearsal': `/api/sites/${scene.siteId}/rehearsal`,
    'its contacts': `/api/sites/${scene.siteId}/contacts`,
    'its sheets': sheets,
    'a sheet': new URL(rows[0]!.address).pathname,
    widgets: '/api/widgets',
    'a widget': `/api/widgets/${scene.widgetId}`,
    'before it is published': `/api/widgets/${scene.widgetId}/publishing`,
    'a form': `/api/widgets/${form.widgetId}/form`,
    sources: '/api/sources',
    'a source': `/api/sources/${scene.sourceId}`,
    'its items': `/api/sources/${scene.sourceId}/items`,
    leads: '/api/leads',
    'leads of a form': `/api/leads?widgetId=${form.widgetId}&state=new`,
    'a lead': `/api/leads/${lead.id}`,
    mails: '/api/mails',
    removals: '/api/removals',
    places: '/api/places',
    platforms: '/api/platforms',
    find: '/api/find?q=page',
    'newest round': '/api/rounds/newest',
    agency: '/api/agency',
  }
  pg.Client.prototype.query = function (this: pg.Client, ...args: unknown[]) {
    const one = queryOf(args)
    if (one) asked.push(one)
    return query.apply(this, args)
  } as never
})
afterAll(async () => {
  pg.Client.prototype.query = query as never
  await system.stop()
})

/** The queries of one answer. */
async function queriesOf(address: string): Promise<Query[]> {
  asked = []
  const answer = await ada.get(address)
  expect([address, answer.status]).toEqual([address, 200])
  return asked.filter(({ text }) => !BESIDE.test(text))
}

/** Growing tables that a query reads from end to end, or goes through again and again. */
async function readWhole({ text, values }: Query): Promise<string[]> {
  const client = new pg.Client({ connectionString: system.context.config.databaseUrl })
  await client.connect()
  try {
    const { rows } = await query.call(client, `EXPLAIN (ANALYZE, FORMAT JSON) ${text}`, values)
    const [{ Plan: top }] = rows[0]!['QUERY PLAN'] as [{ Plan: Plan }]
    const scanned = (plan: Plan): string[] => [
      ...(plan['Node Type'] === 'Seq Scan' || rowsOf(plan) > MOST_ROWS ? [plan['Relation Name'] ?? ''] : []),
      ...(plan.Plans ?? []).flatMap(scanned),
    ]
    return scanned(top).filter((table) => GROWING.includes(table))
  } finally {
    await client.end()
  }
}

const rowsOf = (plan: Plan) => (plan['Actual Rows'] + (plan['Rows Removed by Filter'] ?? 0)) * plan['Actual Loops']
const isRead = ({ text }: Query) => /^\s*(SELECT|WITH)/i.test(text)

describe('with 3,000 installs, 200,000 checks, 20,000 leads and as many mails', () => {
  it('no answer asks more than so many queries', async () => {
    for (const [name, address] of Object.entries(addresses)) {
      const texts = (await queriesOf(address)).map(({ text }) => text.slice(0, 90))
      expect(texts.length, `${name}:\n${texts.join('\n')}`).toBeLessThanOrEqual(MOST_QUERIES)
    }
  })
  it('none reads a table that grows from end to end', async () => {
    const whole: string[] = []
    for (const [name, address] of Object.entries(addresses))
      for (const one of (await queriesOf(address)).filter(isRead))
        for (const table of await readWhole(one)) whole.push(`${name}: ${table}, ${one.text.slice(0, 400)}`)
    expect(whole).toEqual([])
  })
  it('an export is of one moment, whole, and in batches that each begin where the one before ended', async () => {
    asked = []
    const { leads: all } = (await ada.get('/api/leads-file?form=json')).body as { leads: { id: string }[] }
    const { total } = (await ada.get('/api/leads')).body as { total: number }
    expect(new Set(all.map(({ id }) => id)).size).toBe(total)
    expect(all).toHaveLength(total)
    const { text, values } = asked.filter(isRead).find((one) => one.text.includes('l.at, l.id) <'))!
    expect(await readWhole({ text, values })).toEqual([])
  })
})
