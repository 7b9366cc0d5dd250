import { confirmationWords } from '@pebblestrand/core/forms'
import { page } from '@pebblestrand/core/handover'
import { filled } from '@pebblestrand/core/letter'
import { escapeText } from '@pebblestrand/core/markup'
import { spokenLanguage, type SpokenLanguage } from '@pebblestrand/core/words'
import formbody from '@fastify/formbody'
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify'
import type { Context } from '../platform/context'
import { headersForPrivateLinks } from '../platform/http/outside-pages'
import { countTogether } from '../platform/limits/count-together'
import { subscriberOf } from '../platform/limits/network'
import { CONFIRM_PATH, leadOfToken } from './confirm-token'
import { contentOf, sealed } from './lead-content'
import { formOf, spokenIn } from './lead-form'
import { Lead } from './models'
import { goOn, sendReply } from './reply'
import { hashKey } from '../accounts/instance-secret'
import { counterKey } from '../platform/keyed-hash'

/** Ms for which a link is good. */
const GOOD_MS = 7 * 86_400_000
/** Pages that one household or office may open in so many seconds. */
const OPENED = { points: 30, seconds: 600 }

const POLICY =
  "default-src 'none'; style-src 'unsafe-inline'; font-src 'self'; img-src data:; form-action 'self'; frame-ancestors 'none'; base-uri 'none'"

interface Asked {
  Params: { token: string }
}

/** Where visitors confirm that an address is theirs. A page with a button: programs that follow links in mails confirm nothing. */
export async function confirmPages(app: FastifyInstance, context: Context): Promise<void> {
  await app.register(formbody, { bodyLimit: 1024 })
  headersForPrivateLinks(app, POLICY)
  const say = (reply: FastifyReply, status: number, language: SpokenLanguage, title: string, body: string) =>
    reply
      .code(status)
      .type('text/html; charset=utf-8')
      .header('cache-control', 'no-store')
      .send(page({ language, title, refreshes: false, hasScript: false, body: `<h1>${escapeText(title)}</h1>${body}` }))
  const gone = (request: FastifyRequest, reply: FastifyReply, status = 404) => {
    const language = spokenLanguage(/^\s*([A-Za-z-]{2,20})/.exec(request.headers['accept-language'] ?? '')?.[1])
    return say(reply, status, language, confirmationWords[language.labels].gone, '')
  }
  const open = async (request: FastifyRequest<Asked>) => {
    const key = counterKey(await hashKey(context.config), 'confirm', subscriberOf(request.ip))
    const opened = { key, ...OPENED }
    if ((await countTogether(context.db, [opened])).get(opened.key)! > 0) return null
    return unconfirmed(context, await leadOfToken(request.params.token))
  }

  app.get<Asked>(`${CONFIRM_PATH}/:token`, async (request, reply) => {
    const found = await open(request)
    if (!found) return gone(request, reply)
    const { language, site } = found
    const words = confirmationWords[language.labels]
    const given = escapeText(filled(words.given, { site }))
    const button = `<form method="post" class="acts"><button class="act">${escapeText(words.yes)}</button></form>`
    return say(
      reply,
      200,
      language,
      words.subject,
      `<p>${given}</p>${button}<p class="for">${escapeText(words.ignore)}</p>`,
    )
  })

  app.post<Asked>(`${CONFIRM_PATH}/:token`, async (request, reply) => {
    const found = await open(request)
    if (!found || !(await confirm(context, found.leadId))) return gone(request, reply)
    return say(reply, 200, found.language, confirmationWords[found.language.labels].confirmed, '')
  })
}

/** A lead whose address can be confirmed, or was: pressed twice it is confirmed once. */
async function unconfirmed(context: Context, leadId: string | null) {
  const lead = leadId && (await Lead.findByPk(leadId))
  if (!lead) return null
  const content = contentOf(context.config, lead)
  const sentAt = content.confirmation?.sentAt
  if (!sentAt || Date.now() - Date.parse(sentAt) > GOOD_MS) return null
  const about = await formOf(lead)
  return { leadId, language: spokenLanguage(spokenIn(content.language).lang), site: about?.site?.name ?? '' }
}

/** Notes that an address is confirmed, and sends the reply that waited for it. */
async function confirm(context: Context, leadId: string, now = new Date()): Promise<boolean> {
  const isNow = await goOn(context, leadId, 'unconfirmed', now, async (_context, delivering, transaction) => {
    const { lead, content } = delivering
    const confirmed = { ...content, confirmation: { ...content.confirmation!, confirmedAt: now.toISOString() } }
    await lead.update({ content: sealed(context.config, confirmed) }, { transaction })
    return sendReply(context, { ...delivering, content: confirmed }, transaction)
  })
  if (isNow) return true
  const lead = await Lead.findByPk(leadId)
  return Boolean(lead && contentOf(context.config, lead).confirmation?.confirmedAt)
}
