import {
  dayIn,
  fromFormBody,
  fromJson,
  mailsIn,
  NotAForm,
  readResponses,
  resultsOf,
  SENT,
  type PollResult,
  type SentValue,
} from '@pebblestrand/core/forms'
import { isStorable } from '@pebblestrand/core/items'
import { resultsHtml } from '@pebblestrand/core/kinds'
import { linkTarget } from '@pebblestrand/core/markup'
import { publicPaths } from '@pebblestrand/core/wire'
import { spokenLanguage } from '@pebblestrand/core/words'
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify'
import { PAGE_POLICY } from '../artefacts/memory'
import { PUBLIC_ID } from '../artefacts/public-id'
import type { Context } from '../platform/context'
import { answerTo } from '../platform/http/error-handler'
import { countTogether } from '../platform/limits/count-together'
import { subscriberOf } from '../platform/limits/network'
import { AppError } from '../platform/errors'
import { answerPage } from './answer-page'
import { isTestSubmission } from './form-test'
import { KnownForms, type KnownForm } from './known-forms'
import { countsFor, receive } from './receive'
import { limitsFor, Robots } from './robots'
import { notSentPage } from './not-sent-page'
import { hashKey, instanceSecret } from '../accounts/instance-secret'
import { counterKey, shortHash } from '../platform/keyed-hash'

/** What one form may be, in bytes: ten long texts of 10,000 letters in any script, each letter escaped, are less. */
const MOST_BYTES = 1024 * 1024
/** Of one household or office at all forms: beyond it nothing is read. */
const FLOOD = { points: 60, seconds: 60 }
/** Ms in which the same from the same counts as pressed twice, where there is no key: without a script. */
const TWICE_MS = 600_000

interface Sent {
  raw: Record<string, SentValue>
  system: Record<string, string>
  byScript: boolean
}

const forAnyOrigin = { 'access-control-allow-origin': '*', 'cache-control': 'no-store' }

/** Names of ours, apart from the fields. */
function takenApart(body: unknown): Pick<Sent, 'raw' | 'system'> {
  const whole = typeof body === 'string' ? fromFormBody(body) : fromJson(body)
  const raw: Record<string, SentValue> = {}
  const system: Record<string, string> = {}
  for (const [name, value] of Object.entries(whole))
    if (!name.startsWith('_')) raw[name] = value
    else if (typeof value === 'string') system[name] = value.slice(0, 1000)
  return { raw, system }
}

const asksForJson = ({ headers }: FastifyRequest) => !/\btext\/html\b/.test(headers.accept ?? '')

/** A path as a page tells it; '' where it is none. */
const pathIn = (text: string | undefined) =>
  text && isStorable(text) && /^\/[^?#\s]*$/.test(text) ? text.slice(0, 500).toWellFormed() : ''

/** Where forms are sent, from any page, without cookies: as forms are, so that no browser asks beforehand; as JSON for a site's own code. */
export async function formPages(app: FastifyInstance, context: Context): Promise<void> {
  const known = new KnownForms(context.db)
  let robots: Robots | null = null
  app.removeAllContentTypeParsers()
  app.addContentTypeParser(
    'application/json',
    { parseAs: 'string', bodyLimit: MOST_BYTES },
    app.getDefaultJsonParser('error', 'error'),
  )
  app.addContentTypeParser('*', { parseAs: 'string', bodyLimit: MOST_BYTES }, (_request, body, done) =>
    done(null, body),
  )
  app.setChildLoggerFactory((logger) => logger)
  app.setErrorHandler((error, request, reply) => failed(error, request, reply))
  const path = publicPaths.form.replace('{id}', ':id')

  app.options(path, (_request, reply) =>
    reply
      .code(204)
      .headers({
        ...forAnyOrigin,
        'access-control-allow-methods': 'POST',
        'access-control-allow-headers': 'content-type',
        'access-control-max-age': '86400',
      })
      .send(),
  )

  app.post<{ Params: { id: string }; Querystring: { r?: string } }>(
    path,
    { bodyLimit: MOST_BYTES },
    async (request, reply) => {
      reply.headers(forAnyOrigin)
      const { id } = request.params
      const release = /^\d{1,6}$/.test(request.query.r ?? '') ? Number(request.query.r) : 0
      const form = PUBLIC_ID.test(id) ? await known.get(id, release) : null
      if (!form) return reply.code(410).send({ error: 'gone' })
      const hashing = await hashKey(context.config)
      const flood = { key: counterKey(hashing, 'forms', subscriberOf(request.ip)), ...FLOOD }
      if ((await countTogether(context.db, [flood])).get(flood.key)! > 0)
        return asksForJson(request)
          ? reply.code(429).header('retry-after', '60').send({ error: 'too-often' })
          : html(reply.code(429).header('retry-after', '60'), notSentPage(request))
      const sent: Sent = { ...takenApart(request.body), byScript: asksForJson(request) }
      robots ??= new Robots(context.db, { signing: await instanceSecret(), hashing }, limitsFor(context.config))
      return answer(context, form, sent, robots, request, reply)
    },
  )
}

/** What could not be taken: without a script, in words that a visitor reads. Nothing was kept, and nothing is said to be. */
function failed(error: unknown, request: FastifyRequest, reply: FastifyReply): FastifyReply {
  const told =
    error instanceof NotAForm ? new AppError('invalid', { message: error.message }) : answerTo(error, request)
  reply.code(told.status).headers(forAnyOrigin)
  if (told.status === 503) reply.header('retry-after', '10')
  return asksForJson(request) ? reply.send({ error: told.code }) : html(reply, notSentPage(request))
}

async function answer(
  context: Context,
  form: KnownForm,
  { raw, system, byScript }: Sent,
  robots: Robots,
  request: FastifyRequest,
  reply: FastifyReply,
): Promise<FastifyReply> {
  const now = new Date()
  const read = readResponses(form.form, raw, { today: dayIn(form.timeZone, now) })
  if (!read.well && Object.keys(read.faults).length) {
    if (byScript) return reply.code(422).send({ faults: read.faults })
    return html(reply.code(422), await answerPage(context, form, { wrong: { values: raw, faults: read.faults } }))
  }
  // What this form has no field of is nobody's answer to it.
  const responses = read.well ? read.responses : readKnown(form, raw, now)
  const isTest = await isTestSubmission(system, form.publicId)
  const key = /^[\w-]{8,64}$/.test(system[SENT.key] ?? '')
    ? system[SENT.key]!
    : shortHash(
        await hashKey(context.config),
        form.publicId,
        responses,
        request.ip,
        Math.floor(now.getTime() / TWICE_MS),
      )
  const judged = isTest
    ? { let: true as const }
    : await robots.judge({ publicId: form.publicId, ip: request.ip, key, system, byScript })
  if ('challenge' in judged) return reply.code(428).send(judged)
  const heldFor = 'held' in judged ? judged.held : null
  if (heldFor && !(await robots.hasRoom(form.publicId))) return answered()
  const asksForReply = !isTest && form.delivery.reply && mailsIn(form.form, responses).length > 0
  const noReply = asksForReply && !(await robots.mayHaveReply(request.ip)) ? ('network' as const) : undefined
  const referrer = byScript ? '' : (request.headers.referer ?? '')
  await receive(
    context,
    form,
    {
      key,
      responses,
      path:
        pathIn(system[SENT.page]) ||
        pathIn(URL.canParse(referrer) && referrer.startsWith(form.origin) ? new URL(referrer).pathname : '') ||
        (form.path.includes('*') ? '' : form.path),
      from: /^[\w.:-]{1,200}$/.test(system[SENT.from] ?? '') ? system[SENT.from]! : '',
      language: spokenLanguage(
        system[SENT.language] ?? (form.settings.locale === 'page' ? undefined : (form.settings.locale as string)),
      ).tag,
      heldFor,
      noReply,
      isTest,
    },
    now,
  )
  return answered()

  /** What was held back is answered as any other: a robot learns nothing. */
  async function answered(): Promise<FastifyReply> {
    const results = form.settings.results ? resultsOf(form.form, await countsFor(context, form.widgetId)) : []
    return byScript
      ? reply.send({ ok: true, results: drawn(results, form, system) })
      : afterwards(context, form, results, reply)
  }
}

const drawn = (results: readonly PollResult[], { settings }: KnownForm, system: Record<string, string>) =>
  results.length ? resultsHtml(results, spokenLanguage(system[SENT.language] ?? (settings.locale as string)).tag) : ''

const html = (reply: FastifyReply, text: string) =>
  reply.type('text/html; charset=utf-8').header('content-security-policy', PAGE_POLICY).send(text)

/** Without a script: another page where that is what comes then, else the form's own with its thanks. */
async function afterwards(context: Context, form: KnownForm, results: readonly PollResult[], reply: FastifyReply) {
  const { after, afterPage } = form.settings as { after?: string; afterPage?: string }
  if (after === 'page' && afterPage && linkTarget(afterPage)) {
    const address = new URL(afterPage, form.origin)
    if (/^https?:$/.test(address.protocol)) return reply.redirect(address.href, 303)
  }
  return html(reply, await answerPage(context, form, { arrived: { results } }))
}

const readKnown = (form: KnownForm, raw: Record<string, SentValue>, now: Date) => {
  const names = new Set(form.form.steps.flatMap(({ fields }) => fields.map(({ name }) => name)))
  const own = Object.fromEntries(Object.entries(raw).filter(([name]) => names.has(name)))
  const read = readResponses(form.form, own, { today: dayIn(form.timeZone, now) })
  return read.well ? read.responses : {}
}
