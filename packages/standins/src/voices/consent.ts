import type { FastifyInstance } from 'fastify'
import { z } from 'zod'
import { escape } from '../html'
import { codeFor } from './api'
import { shell } from './pages'
import { accounts, type Voices } from './service'

const Question = z.object({
  client_id: z.string().max(100),
  redirect_uri: z.url({ protocol: /^https?$/ }),
  state: z.string().max(300),
  code_challenge: z.string().min(43).max(128),
  code_challenge_method: z.literal('S256'),
})
const Answer = Question.extend({ account: z.string(), what: z.enum(['allow', 'refuse']) })

/** The page on which an owner lets another program read all that is said of a place (RFC 6749, section 4.1). */
export function consentRoutes(app: FastifyInstance, voices: Voices): void {
  app.get('/consent', ({ query }, reply) => {
    const asked = Question.safeParse(query)
    reply.header('content-type', 'text/html; charset=utf-8')
    if (!asked.success) return reply.code(400).send(shell('Not understood', '<p>The question is not complete.</p>'))
    const hidden = Object.entries(asked.data)
      .map(([name, value]) => `<input type="hidden" name="${name}" value="${escape(value)}">`)
      .join('')
    const choices = accounts
      .map(
        ({ id, name }, at) =>
          `<label><input type="radio" name="account" value="${id}"${at ? '' : ' checked'}> ${escape(name)}</label>`,
      )
      .join('')
    return shell(
      'Let it read',
      `<h1>${escape(asked.data.client_id)} asks to read</h1><p>all that is said of the places of one account, and the owner’s answers. It may change nothing.</p><form method="post">${hidden}${choices}<button name="what" value="allow">Let it read</button><button name="what" value="refuse">Do not</button></form>`,
    )
  })

  app.post('/consent', ({ body }, reply) => {
    const { account, what, state, redirect_uri, code_challenge } = Answer.parse(body)
    const back = new URL(redirect_uri)
    back.searchParams.set('state', state)
    if (what === 'refuse') back.searchParams.set('error', 'access_denied')
    else back.searchParams.set('code', codeFor(voices, account, code_challenge, redirect_uri))
    return reply.redirect(back.href, 303)
  })
}
