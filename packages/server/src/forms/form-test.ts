import { randomBytes } from 'node:crypto'
import { dayIn, madeUp, SENT } from '@pebblestrand/core/forms'
import type { DeliveryWhat, FormTestStep, TestStage } from '@pebblestrand/contract'
import { pathTo } from '@pebblestrand/core/wire'
import { QueryTypes, type Transaction } from 'sequelize'
import type { Install } from '../installs/models'
import type { Mail } from '../mail/models'
import { sendMail } from '../mail/send'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { WAITED_FOR } from '../platform/queue'
import { Outbound, OutboundError } from '../platform/outbound/client'
import { Widget } from '../widgets/models'
import { ABOUT_LEADS } from './about-leads'
import { asksFor, deliverLead } from './deliver'
import { testJob } from './jobs'
import { KnownForms, deliveryOf, type KnownForm } from './known-forms'
import { leadMailKind } from './lead-mails'
import { Form, FormTest, Lead, LeadDelivery } from './models'
import { receive } from './receive'
import { instanceSecret } from '../accounts/instance-secret'
import { isSigned, sign } from '../platform/keyed-hash'
import { callWebhook } from './webhook'

/** Name by which a submission says that it is a test of ours. */
const TEST = '_test'

/** What signs a test: only we can send one. */
export async function isTestSubmission(system: Readonly<Record<string, string>>, publicId: string): Promise<boolean> {
  const token = system[TEST]
  const key = system[SENT.key]
  return Boolean(token && key) && isSigned(await instanceSecret(), token!, 'test', publicId, key!)
}

interface Wanted {
  widgetId: string
  /** The install whose address it is sent to; null tries what comes after, with the widget's draft. */
  install: Install | null
  toMail: string
  askedBy: string | null
}

/** Notes that a test is to be sent. */
export const noteTest = (
  { widgetId, install, toMail, askedBy }: Wanted,
  transaction?: Transaction,
): Promise<FormTest> =>
  FormTest.create({ widgetId, publicId: install?.publicId ?? '', toMail, askedBy }, { transaction })

/** Begins a test that a person waits for; the worker sends it. */
export const startTest = ({ db, queue }: Context, wanted: Wanted): Promise<FormTest> =>
  db.transaction(async (transaction) => {
    const test = await noteTest(wanted, transaction)
    await queue.sendMany(testJob, [{ testId: test.id }], transaction, WAITED_FOR)
    return test
  })

/**
 * Sends a test submission the whole way, and follows it: over the network to the form's own address, into the register, to what is done
 * with it, mails and webhook too. Where it stops is what a visitor's message would do.
 */
export async function runTest(context: Context, testId: string): Promise<FormTest | null> {
  const test = await FormTest.findByPk(testId)
  if (!test || test.state !== 'running') return test
  const steps: FormTestStep[] = []
  const say = (stage: TestStage, well: boolean, says: string) => (steps.push({ stage, well, says }), well)
  await follow(context, test, say)
  const state = steps.every(({ well }) => well) ? 'well' : 'stopped'
  return test.update({ steps, state, endedAt: new Date() })
}

type Say = (stage: TestStage, well: boolean, says: string) => boolean

async function follow(context: Context, test: FormTest, say: Say): Promise<void> {
  const key = `test-${randomBytes(16).toString('hex')}`
  const known = await knownOf(context, test)
  if (!known) return void say('reach', false, 'The widget has no form any more, or no release.')
  const arrived = test.publicId
    ? await submit(context, known, test, key, say)
    : await putIn(context, known, test, key, say)
  if (!arrived) return
  const lead = await Lead.findOne({ where: { publicId: known.publicId, key } })
  if (
    !say(
      'store',
      lead !== null,
      lead ? 'It stands in the register, marked as a test.' : 'It was answered as taken, and is not in the register.',
    )
  )
    return
  await test.update({ leadId: lead!.id })
  await deliverLead(context, lead!.id)
  for (const what of ['reply', 'note-agency', 'note-client', 'webhook'] as const)
    await followPiece(context, lead!.id, what, say)
}

/** The form as it is tested: where it stands, or of the draft. */
async function knownOf(context: Context, { widgetId, publicId }: FormTest): Promise<KnownForm | null> {
  if (publicId) return new KnownForms(context.db).get(publicId, 0)
  const widget = await Widget.findByPk(widgetId)
  const form = widget && asksFor(widget)
  if (!widget || !form) return null
  const decided = await Form.findByPk(widgetId)
  return {
    publicId: '',
    installId: '',
    widgetId,
    widget: widget.name,
    kind: widget.kind,
    settings: widget.draft,
    form,
    release: 0,
    siteId: '',
    site: '',
    origin: '',
    timeZone: 'UTC',
    path: '',
    delivery: deliveryOf(widget, decided?.delivery),
  }
}

const answersFor = (known: KnownForm, { toMail }: FormTest) =>
  madeUp(known.form, { mail: toMail, today: dayIn(known.timeZone, new Date()) })

/** Without an install there is no address: it is put in where that would. */
async function putIn(context: Context, known: KnownForm, test: FormTest, key: string, say: Say): Promise<boolean> {
  await receive(context, known, {
    key,
    responses: answersFor(known, test),
    path: '',
    from: '',
    language: 'en-GB',
    heldFor: null,
    isTest: true,
  })
  return say('take', true, 'It takes what its fields ask for. Its address is tried once the widget stands somewhere.')
}

/** Over the network, as a visitor's browser does. */
async function submit(context: Context, known: KnownForm, test: FormTest, key: string, say: Say): Promise<boolean> {
  const { origin } = context.config
  const body = new URLSearchParams()
  for (const [name, answer] of Object.entries(answersFor(known, test)))
    for (const one of [answer].flat()) body.append(name, one === true ? 'yes' : String(one))
  body.set(SENT.key, key)
  body.set(SENT.took, '10000')
  body.set(TEST, sign(await instanceSecret(), 'test', known.publicId, key))
  // Our own address, wherever it leads, and no other.
  const own = new Outbound({ localhostNames: true, privateAddresses: true })
  try {
    const address = `${origin}${pathTo('form', known.publicId)}?r=${known.release}`
    const answer = await own.post(address, body, { accept: 'application/json' })
    const wrong =
      answer.status === 422
        ? Object.keys((JSON.parse(new TextDecoder().decode(answer.body)) as { faults?: object }).faults ?? {})
        : []
    if (wrong.length) {
      say('reach', true, `${origin} answers.`)
      return say('take', false, `It refuses what it asks for: ${wrong.join(', ')}.`)
    }
    if (answer.status !== 200) return say('reach', false, `${origin} answers with ${answer.status}.`)
    say('reach', true, `${origin} answers, in ${answer.ms} ms.`)
    return say('take', true, 'It takes what its fields ask for.')
  } catch (error) {
    if (!(error instanceof OutboundError)) throw error
    return say('reach', false, `${origin} does not answer: ${error.message}`)
  } finally {
    await own.close()
  }
}

/** How long a worker that has one in hand already is waited for, in ms, and how often it is looked. */
const PATIENCE = { whole: 15_000, each: 250 }

/** What is done with it, here and now where nobody else is at it. */
async function followPiece(context: Context, leadId: string, what: DeliveryWhat, say: Say): Promise<void> {
  const delivery = () => LeadDelivery.findOne({ where: { leadId, what } })
  const first = await delivery()
  if (!first) return
  if (first.state === 'failed') return void say(what, false, first.problem ?? 'It could not be done.')
  if (what === 'webhook') {
    await callWebhook(context, leadId)
    const after = (await delivery())!
    return void say(
      what,
      after.state === 'sent',
      after.state === 'sent' ? 'It was answered.' : (after.problem ?? 'It was not answered yet.'),
    )
  }
  const mails = () =>
    context.db.query<Pick<Mail, 'id' | 'state' | 'tries' | 'problem'>>(
      `SELECT id, state, tries, problem FROM mails WHERE ${ABOUT_LEADS} AND kind = $kind`,
      { bind: { leads: [leadId], kind: leadMailKind(what) }, type: QueryTypes.SELECT },
    )
  for (const { id } of await mails()) await sendMail(context, id)
  for (let waited = 0; waited < PATIENCE.whole; waited += PATIENCE.each) {
    const all = await mails()
    const wrong = all.find(({ state }) => state === 'bounced' || state === 'failed')
    const late = all.find(({ state, tries }) => state === 'queued' && tries > 0)
    if (wrong ?? late) return void say(what, false, (wrong ?? late)!.problem ?? 'The mail could not be sent.')
    if (all.length && all.every(({ state }) => state === 'sent'))
      return void say(what, true, 'The mail server has taken it.')
    await new Promise((resolve) => setTimeout(resolve, PATIENCE.each))
  }
  say(what, false, 'The mail was not sent within 15 seconds.')
}

/** Where the mails of a test go: to the address that was given, else of whoever asks. */
export function requireAddress(mail: string | null | undefined): string {
  if (mail) return mail
  throw new AppError('invalid', { issues: [{ field: 'toMail', message: 'is missing: the test’s mails go there' }] })
}
