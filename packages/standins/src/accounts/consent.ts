import type { FastifyInstance } from 'fastify'
import { z } from 'zod'
import { escape } from '../html'
import type { GrantDesk } from './grants'

const Question = z.object({
  client_id: z.string().max(100),
  redirect_uri: z.url({ protocol: /^https?$/ }),
  state: z.string().max(300),
  code_challenge: z.string().min(43).max(128),
  code_challenge_method: z.literal('S256'),
})
const Answer = Question.extend({ account: z.string(), what: z.enum(['allow', 'refuse']) })

/**
 * The page on which an owner lets another program read an account, and where that program gets its tokens (RFC 6749, section 4.1).
 * @param page a whole page of the service
 * @param what may be read
 */
export function consentRoutes(
  app: FastifyInstance,
  desk: GrantDesk,
  page: (title: string, body: string) => string,
  what: string,
): void {
  app.get('/consent', ({ query }, reply) => {
    const asked = Question.safeParse(query)
    reply.header('content-type', 'text/html; charset=utf-8')
    if (!asked.success) return reply.code(400).send(page('Not understood', '<p>The question is not complete.</p>'))
    const hidden = Object.entries(asked.data)
      .map(([name, value]) => `<input type="hidden" name="${name}" value="${escape(value)}">`)
      .join('')
    const choices = desk.accounts
      .map(
        ({ id, name }, at) =>
          `<label><input type="radio" name="account" value="${id}"${at ? '' : ' checked'}> ${escape(name)}</label>`,
      )
      .join('')
    return page(
      'Let it read',
      `<h1>${escape(asked.data.client_id)} asks to read</h1><p>${escape(what)} It may change nothing.</p><form method="post">${hidden}${choices}<button name="what" value="allow">Let it read</button><button name="what" value="refuse">Do not</button></form>`,
    )
  })

  app.post('/consent', ({ body }, reply) => {
    const { account, what: said, state, redirect_uri, code_challenge } = Answer.parse(body)
    const back = new URL(redirect_uri)
    back.searchParams.set('state', state)
    if (said === 'refuse') back.searchParams.set('error', 'access_denied')
    else back.searchParams.set('code', desk.codeFor(account, code_challenge, redirect_uri))
    return reply.redirect(back.href, 303)
  })

  app.post('/api/token', ({ body }, reply) => {
    const answer = desk.tokenFor(body)
    return reply.code('error' in answer ? 400 : 200).send(answer)
  })
}
