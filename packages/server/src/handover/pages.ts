import { readFileSync } from 'node:fs'
import { keptPage, SHEET_SCRIPT, sheetPage, shutPage } from '@pebblestrand/core/handover'
import { storable } from '@pebblestrand/core/items'
import { spokenLanguage } from '@pebblestrand/core/words'
import formbody from '@fastify/formbody'
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify'
import { countOne, limiterIn } from '../platform/limits/limiter'
import { assets } from '../platform/assets'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { headersForPrivateLinks } from '../platform/http/outside-pages'
import { keepSteps, sayDone, tellTrouble } from './act-on-sheet'
import { readKept } from './kept'
import type { Sheet, SheetPurpose } from '../sheets/models'
import { readSheet, sheetBy } from './read-sheet'
import { sheetPaths } from '../sheets/sheet-address'
import { countVisit } from './visits'

/** No session, no other origin, in no frame; what a widget shows there stands in a frame of ours. */
const POLICY =
  "default-src 'none'; script-src 'self'; style-src 'unsafe-inline'; font-src 'self'; img-src 'self' data:; connect-src 'self'; frame-src 'self'; form-action 'self'; frame-ancestors 'none'; base-uri 'none'"

/** Wrong addresses that one caller may try, and asks for looks, in so many seconds. */
const GUESSES = { points: 30, duration: 600 }
const LOOKS = { points: 60, duration: 600 }
/** Things that whoever has one sheet may write to the agency in so many seconds. */
const NOTES = { points: 20, duration: 3600 }

interface Asked {
  Params: { token: string; item: string }
  Body: Record<string, unknown> | undefined
}

/** Pages for who has no account: sheets, and a client's own page. */
export async function sheetPages(app: FastifyInstance, context: Context): Promise<void> {
  await app.register(formbody, { bodyLimit: 16_384 })
  headersForPrivateLinks(app, POLICY)
  const guesses = limiterIn(context.db, 'sheet-guess', GUESSES)
  const looks = limiterIn(context.db, 'sheet-look', LOOKS)
  const notes = limiterIn(context.db, 'sheet-note', NOTES)
  const script = readFileSync(assets.sheet)
  app.get(SHEET_SCRIPT, (_request, reply) =>
    reply.type('text/javascript; charset=utf-8').header('cache-control', 'no-cache').send(script),
  )

  const html = (reply: FastifyReply, body: string, status = 200) =>
    reply.code(status).type('text/html; charset=utf-8').header('cache-control', 'no-store').send(body)
  const languageOf = (request: FastifyRequest) =>
    spokenLanguage(/^\s*([A-Za-z-]{2,20})/.exec(request.headers['accept-language'] ?? '')?.[1])

  /** The sheet of an address; else the page that tells nothing, and one guess is counted. */
  const open = async (
    request: FastifyRequest<Asked>,
    reply: FastifyReply,
    purpose: SheetPurpose,
  ): Promise<Sheet | null> => {
    const state = await guesses.get(request.ip)
    const isOver = state !== null && state.remainingPoints <= 0
    const sheet = isOver ? null : await sheetBy(request.params.token, [purpose])
    if (sheet) return sheet
    if (!isOver) await countOne(guesses, request.ip)
    html(reply, shutPage(languageOf(request)), isOver ? 429 : 404)
    return null
  }

  for (const purpose of ['paste', 'remove'] as const) {
    const at = `${sheetPaths[purpose]}/:token`
    app.get<Asked>(at, async (request, reply) => {
      const sheet = await open(request, reply, purpose)
      if (!sheet) return reply
      const goesOn = request.headers['x-sheet-follow'] || (request.query as Record<string, unknown>).then !== undefined
      if (!goesOn) await countVisit(context.db, sheet, request.headers['user-agent'] ?? '')
      const shown = await readSheet(context, sheet)
      return shown ? html(reply, sheetPage(shown)) : html(reply, shutPage(spokenLanguage(sheet.language)), 404)
    })
    /** Answers to a form: back to the thing it was about, so that a reload does nothing twice. */
    const act = (name: string, does: (sheet: Sheet, request: FastifyRequest<Asked>) => Promise<void>) =>
      app.post<Asked>(`${at}/:item/${name}`, async (request, reply) => {
        const sheet = await open(request, reply, purpose)
        if (!sheet) return reply
        try {
          await does(sheet, request)
        } catch (error) {
          if (!(error instanceof AppError)) throw error
          return html(reply, shutPage(spokenLanguage(sheet.language)), error.status)
        }
        return reply.redirect(
          `${sheetPaths[purpose]}/${sheet.token}?then#i-${encodeURIComponent(request.params.item)}`,
          303,
        )
      })
    act('done', async (sheet, { params, ip }) => {
      const past = await countOne(looks, ip)
      if (past) throw new AppError('too-often', { remedy: `Wait ${past.wait}, then try again.` })
      await sayDone(context, sheet, params.item)
    })
    act('steps', (sheet, { params, body }) =>
      keepSteps(
        sheet,
        params.item,
        [body?.step ?? []].flat().filter((one): one is string => typeof one === 'string' && one.length <= 20),
      ),
    )
    act('trouble', async (sheet, { params, body }) => {
      const note = typeof body?.note === 'string' ? storable(body.note).trim().slice(0, 1000) : ''
      if (!note) return
      const past = await countOne(notes, sheet.id)
      if (past) throw new AppError('too-often', { remedy: `Wait ${past.wait}, then try again.` })
      await tellTrouble(context, sheet, params.item, note)
    })
  }

  app.get<Asked>(`${sheetPaths.kept}/:token`, async (request, reply) => {
    const sheet = await open(request, reply, 'kept')
    if (!sheet) return reply
    await countVisit(context.db, sheet, request.headers['user-agent'] ?? '')
    return html(reply, keptPage(await readKept(context, sheet)))
  })
}
