import { escapeText } from '@pebblestrand/core/markup'
import { labels, spokenLanguage } from '@pebblestrand/core/words'
import type { FastifyRequest } from 'fastify'

/** For whoever sent a form without a script, where it could not be taken: what they typed is still behind the browser's button back. */
export function notSentPage({ headers }: Pick<FastifyRequest, 'headers'>): string {
  const language = /^\s*([A-Za-z-]{2,20})/.exec(headers['accept-language'] ?? '')?.[1]
  const { tag, direction, labels: of } = spokenLanguage(language)
  const words = escapeText(labels[of].notSent)
  return `<!doctype html><html lang="${tag}" dir="${direction}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><meta name="robots" content="noindex"><title>${words}</title></head><body style="margin:0 auto;padding:24px;max-width:640px;color:#1d2b34;background:#fffdf8;font:16px/1.5 sans-serif"><p role="alert">${words}</p></body></html>`
}
