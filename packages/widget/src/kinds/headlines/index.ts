import type { HeadlinesPayload } from '@pebblestrand/core/kinds'
import type { Renderer } from '../../renderer'
import { headlinesCss } from './css'
import { headlinesHtml } from './html'

export const headlines: Renderer<HeadlinesPayload> = (payload) => ({
  html: headlinesHtml(payload),
  css: headlinesCss(payload),
  font: payload.look.font,
})
