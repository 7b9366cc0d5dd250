import type { PageFacts } from '@pebblestrand/contract'
import { decodeBytes } from '@pebblestrand/core/sources'
import type { Context } from '../../platform/context'
import { AppError } from '../../platform/errors'
import { OutboundError } from '../../platform/outbound/client'
import { TooTangled } from '../../platform/threads/threads'

const PAGE = 'text/html,application/xhtml+xml;q=0.9,*/*;q=0.5'

/** Fetches a page and reads what it says of itself. Where that cannot be, the pick can still be typed. */
export async function readPage({ outbound, threads }: Context, address: string): Promise<PageFacts> {
  const away = (message: string) =>
    new AppError('fetch-failed', {
      message,
      remedy: 'Type its title yourself, or try again in a few minutes.',
      issues: [{ field: 'address', message: 'could not be read' }],
    })
  try {
    const answer = await outbound.get(address, { accept: PAGE })
    if (answer.status >= 400) throw away(`The page answers with error ${answer.status}.`)
    const type = answer.headers['content-type'] ?? ''
    if (/^image\//i.test(type)) return pictureAlone(answer.finalUrl)
    if (type && !/html|xml/i.test(type)) throw away('There is no page at this address, but a file.')
    const html = decodeBytes(answer.body, type)
    return await threads.run('readPageFacts', { html, at: answer.finalUrl }, new URL(address).host)
  } catch (error) {
    if (error instanceof OutboundError) throw away(error.message)
    if (error instanceof TooTangled) throw away('The page is too tangled to be read.')
    throw error
  }
}

/** The address of a picture is picked as that picture. */
function pictureAlone(link: string): PageFacts {
  const { hostname, pathname } = new URL(link)
  const name = decodeURIComponent(pathname.split('/').at(-1) ?? '')
    .replace(/\.\w+$/, '')
    .replaceAll(/[-_]+/g, ' ')
  return {
    link,
    title: name,
    description: '',
    site: hostname.replace(/^www\./, ''),
    language: null,
    publishedAt: null,
    pictures: [{ url: link, width: null, height: null, alt: name }],
  }
}
