import type { FastifyInstance } from 'fastify'
import { z } from 'zod'
import { userOf } from '../accounts/guard'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { IdParams, Paging, windowOf } from '../platform/http/paging'
import { parse } from '../platform/http/parse'
import { Answer, Check, FindingRow } from './models'
import { newestRound, startRound, stopRound } from './rounds'

const AnswerParams = IdParams.extend({ which: z.enum(['served', 'fresh']) })

export function checkRoutes(app: FastifyInstance, context: Context): void {
  app.get('/api/checks/:id', async (request) => {
    const check = await Check.findByPk(parse(IdParams, request.params).id)
    if (!check) throw new AppError('not-found')
    const { id, installId, state, cause, askedAt, finishedAt, statusAfter, facts, problem } = check
    return {
      id,
      installId,
      state,
      cause,
      askedAt,
      finishedAt,
      statusAfter,
      facts,
      problem,
      findings: await FindingRow.findAll({ where: { checkId: id }, order: [['position', 'ASC']] }),
    }
  })

  app.get('/api/installs/:id/checks', async (request) => {
    const paging = parse(Paging, request.query)
    const { rows, count } = await Check.findAndCountAll({
      where: { installId: parse(IdParams, request.params).id },
      order: [['askedAt', 'DESC']],
      ...windowOf(paging),
    })
    return { rows, total: count, page: paging.page, size: paging.size }
  })

  /** The page as kept, as plain text: nothing of it runs here. */
  app.get('/api/checks/:id/answers/:which', async (request, reply) => {
    const { id, which } = parse(AnswerParams, request.params)
    const answer = await Answer.findOne({ where: { checkId: id, which } })
    if (!answer)
      throw new AppError('not-found', { remedy: 'Whole pages are kept for the newest five checks of an install.' })
    return reply
      .type('text/plain; charset=utf-8')
      .header('content-disposition', `attachment; filename="${which}.html.txt"`)
      .send(answer.html)
  })

  app.get('/api/rounds/newest', async () => ({ round: await newestRound() }))
  app.post('/api/rounds', async (request) => ({ id: (await startRound(context, userOf(request).id)).id }))
  app.delete('/api/rounds/:id', async (request) => {
    await stopRound(parse(IdParams, request.params).id)
    return { round: await newestRound() }
  })
}
