import type { FormTestStep, TestStage } from '@pebblestrand/contract'
import { QueryTypes } from 'sequelize'
import type { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { Widget } from '../widgets/models'
import { noteTest, runTest } from './form-test'
import { deliveryOf } from './known-forms'
import { asksFor } from './deliver'
import { Form, type FormTest } from './models'
import { agencyTold } from './who-is-told'
import { Page } from '../sites/models'

const NEWEST = `
SELECT DISTINCT ON (public_id) id, public_id AS "publicId", state, steps, began_at AS "beganAt" FROM form_tests
WHERE public_id IN (SELECT jsonb_array_elements_text($ids)) ORDER BY public_id, began_at DESC`

type Newest = Pick<FormTest, 'id' | 'publicId' | 'state' | 'steps' | 'beganAt'>

/** The newest test of each of some installs, by its public id. */
export async function newestTests(
  { db }: Pick<Context, 'db'>,
  publicIds: readonly string[],
): Promise<Map<string, Newest>> {
  const rows = await db.query<Newest>(NEWEST, { bind: { ids: JSON.stringify(publicIds) }, type: QueryTypes.SELECT })
  return new Map(rows.map((row) => [row.publicId, row]))
}

/** What is wrong with a form that did not deliver: where it stopped. Null where it did, or nobody tried. */
export const stoppedAt = (test: Pick<FormTest, 'state' | 'steps'> | undefined): string | null =>
  test?.state === 'stopped' ? stop(test.steps.find(({ well }) => !well)) : null

const stop = (step: FormTestStep | undefined) => (step ? `${stopsAt[step.stage]}. ${step.says}` : 'on its way')

/** Where a test can stop, as a clause. */
const stopsAt: Record<TestStage, string> = {
  reach: 'at its address',
  take: 'at what it asks for',
  store: 'before it was kept',
  reply: 'at the reply',
  'note-agency': 'at the note to the agency',
  'note-client': 'at the note to the client',
  webhook: 'at the webhook',
}

const DAY_MS = 86_400_000
/** After so long one that stopped is tried again, with the next check. */
const AGAIN_MS = 300_000

/** Before installs are checked: sends a test to those forms whose last one is long enough ago, or that did not deliver then. */
export async function testWhereDue(context: Context, installs: readonly Install[], now = new Date()): Promise<void> {
  const newest = await newestTests(
    context,
    installs.map(({ publicId }) => publicId),
  )
  for (const install of installs) {
    // Where nobody has said that it is there, there is nothing to try yet.
    if (install.retiring || !install.pastedAt) continue
    const widget = await Widget.findByPk(install.widgetId)
    if (!widget || !asksFor(widget)) continue
    const { testEvery } = deliveryOf(widget, (await Form.findByPk(widget.id))?.delivery)
    const last = newest.get(install.publicId)
    const age = last ? now.getTime() - last.beganAt.getTime() : Infinity
    const isDue = age > (last?.state === 'stopped' ? AGAIN_MS : testEvery * DAY_MS)
    if (!testEvery || !isDue || last?.state === 'running') continue
    const page = await Page.findByPk(install.pageId)
    const [keeper] = await agencyTold(page?.siteId ?? null)
    if (!keeper) continue
    const test = await noteTest({ widgetId: widget.id, install, toMail: keeper.mail, askedBy: null })
    await runTest(context, test.id)
  }
}
