import { randomBytes } from 'node:crypto'
import { routes } from '@pebblestrand/contract'
import { Op } from 'sequelize'
import { Look, Reading } from '../findings/models'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import type { Serve } from '../platform/http/serve'
import { Page, Placement } from '../sites/models'
import { stageInPage } from '../delivery/stage'

/** What a client's page brings may be looked at; only the stage's own scripts run, and they can reach nothing of the application. */
const policy = (nonce: string) =>
  `default-src 'none'; script-src 'nonce-${nonce}'; style-src http: https: 'unsafe-inline'; img-src http: https: data:; font-src http: https: data:; frame-ancestors 'self'; sandbox allow-scripts allow-popups`

/** The page around a placement, from the newest look at it. */
export function stagePageRoute(serve: Serve, context: Context): void {
  serve(routes.stage.page, async ({ query: { pageId, placementId, widgetId }, reply }) => {
    const [page, placement, look, install] = await Promise.all([
      Page.findByPk(pageId),
      Placement.findByPk(placementId),
      newestLook(pageId),
      widgetId ? Install.findOne({ where: { pageId, placementId, widgetId, status: { [Op.ne]: 'retired' } } }) : null,
    ])
    if (!page || !placement || placement.siteId !== page.siteId) throw new AppError('not-found')
    if (!look)
      throw new AppError('not-found', {
        message: 'This page has not been looked at yet.',
        remedy: 'Plan a widget on it, or check one that is there; then it is shown.',
      })
    const { region, selector, width } = placement
    const nonce = randomBytes(16).toString('base64')
    const asked = { html: look.html, placement: { region, selector }, install: install?.publicId ?? null }
    const { html } = await context.threads.run('pageWithRoom', asked, new URL(look.url).host)
    return reply
      .type('text/html; charset=utf-8')
      .headers({
        'content-security-policy': policy(nonce),
        'cache-control': 'no-store',
        'x-frame-options': 'SAMEORIGIN',
        'x-content-type-options': 'nosniff',
      })
      .send(stageInPage(html, { url: look.finalUrl, width }, context.config.origin, nonce))
  })
}

/** The newest state of a page that anybody got: past its cache where there was such a look. */
async function newestLook(pageId: string): Promise<Look | null> {
  const reading = await Reading.findOne({ where: { pageId }, order: [['beganAt', 'DESC']] })
  if (!reading) return null
  const looks = await Look.findAll({ where: { readingId: reading.id } })
  const whole = looks.filter((look) => !look.error && look.status < 400)
  return whole.find((look) => look.how === 'fresh') ?? whole[0] ?? null
}
