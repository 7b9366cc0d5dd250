import { limitedRoutes } from '../accounts/limits'
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify'
import sharp from 'sharp'
import { drawScene } from '../drawing/scenes'
import { escape } from '../html'
import type { Store } from '../state/store'
import { channels, filmOf, lists, type Channel, type Film } from './channels'

export const filmsHost = 'moving-shore'

const DAY = 86_400_000
/** A feed holds so many of the newest. */
const IN_FEED = 15

interface Shown {
  title: string
  page: string
  feed: string
  about?: string
  /** Of which film a still stands for it. */
  still?: string | null
  films: { film: Film; channel: Channel }[]
}

/** A service that plays films: pages of channels, users, lists and films, a feed of each, and a player for frames. */
export async function filmsRoutes(app: FastifyInstance, store: Store): Promise<void> {
  await app.register(async (own) => {
    own.addHook('onRoute', (route) => {
      route.constraints = { ...route.constraints, host: new RegExp(`^${filmsHost}\\.localhost(:\\d+)?$`) }
    })
    limitedRoutes(own, () => store.films)
    const html = (reply: FastifyReply) => reply.header('content-type', 'text/html; charset=utf-8')
    const notHere = (reply: FastifyReply) => html(reply).code(404).send(page('Not here', '<h1>No such film</h1>'))
    const named = ({ params }: FastifyRequest) => (params as { name: string }).name.replace(/\.xml$/, '')

    const byChannel = (id: string) =>
      shownOf(
        channels.find((one) => one.id === id),
        'channel',
        id,
      )
    const byUser = (user: string) =>
      shownOf(
        channels.find((one) => one.user === user),
        'user',
        user,
      )
    const byList = (id: string): Shown | null => {
      const list = lists.find((one) => one.id === id)
      return list
        ? {
            title: list.name,
            page: `/list/${id}`,
            feed: `/feeds/list/${id}.xml`,
            films: list.films.map((one) => filmOf(one)!),
          }
        : null
    }
    for (const [path, look] of [
      ['channel', byChannel],
      ['user', byUser],
      ['list', byList],
    ] as const) {
      own.get(`/${path === 'user' ? 'u' : path}/:name`, (request, reply) => {
        const shown = look(named(request))
        return shown ? html(reply).send(listing(shown)) : notHere(reply)
      })
      own.get(`/feeds/${path}/:name`, (request, reply) => {
        const shown = look(named(request))
        if (!shown) return notHere(reply)
        return reply
          .header('content-type', 'application/rss+xml; charset=utf-8')
          .send(feed(shown, `${request.protocol}://${request.host}`, store.startedAt))
      })
    }
    own.get('/', (_, reply) =>
      html(reply).send(
        page(
          'Channels',
          `<h1>Channels</h1><ul>${channels.map(({ id, name }) => `<li><a href="/channel/${id}">${escape(name)}</a></li>`).join('')}</ul>`,
        ),
      ),
    )
    own.get('/watch', ({ query }, reply) => watch(String((query as { film?: string }).film), reply))
    own.get('/w/:name', (request, reply) => reply.redirect(`/watch?film=${named(request)}`))
    own.get('/play/:name', (request, reply) => {
      const found = filmOf(named(request))
      return found
        ? html(reply).send(
            `<!DOCTYPE html><html lang="en"><head><meta charset="utf-8"><title>${escape(found.film.title)}</title><style>body{margin:0;background:#000;color:#fff;font:16px sans-serif;display:grid;place-items:center;height:100vh}</style></head><body><p>▷ ${escape(found.film.title)}</p></body></html>`,
          )
        : notHere(reply)
    })
    own.get('/stills/:name', async (request, reply) => {
      const found = filmOf((request.params as { name: string }).name.replace(/\.jpg$/, ''))
      if (!found) return notHere(reply)
      const drawn = sharp(Buffer.from(drawScene(`${found.film.scene}-${found.film.id}`)))
      return reply
        .header('cache-control', 'public, max-age=86400')
        .type('image/jpeg')
        .send(await drawn.resize(1280, 720).jpeg({ quality: 82 }).toBuffer())
    })

    function watch(id: string, reply: FastifyReply) {
      const found = filmOf(id)
      if (!found) return notHere(reply)
      const { film, channel } = found
      const head = `<link rel="alternate" type="application/rss+xml" title="${escape(channel.name)}" href="/feeds/channel/${channel.id}.xml">`
      const embed = `<iframe src="/play/${id}" width="560" height="315" title="${escape(film.title)}"></iframe>`
      return html(reply).send(
        page(
          film.title,
          `<h1>${escape(film.title)}</h1>${embed}<p><a href="/channel/${channel.id}">${escape(channel.name)}</a></p><p>${escape(film.about)}</p><code>${escape(embed)}</code>`,
          head,
        ),
      )
    }
  })
}

const shownOf = (channel: Channel | undefined, what: 'channel' | 'user', name: string): Shown | null =>
  channel
    ? {
        title: channel.name,
        about: channel.about,
        still: channel.films[0]?.id ?? null,
        page: `/${what === 'user' ? 'u' : what}/${name}`,
        feed: `/feeds/${what}/${name}.xml`,
        films: channel.films.map((film) => ({ film, channel })),
      }
    : null

const page = (title: string, body: string, head = '') =>
  `<!DOCTYPE html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${escape(title)} · Moving Shore</title>${head}</head><body><header><strong>Moving Shore</strong> <a href="/">All channels</a></header><main>${body}</main></body></html>`

const listing = ({ title, feed, films }: Shown) =>
  page(
    title,
    `<h1>${escape(title)}</h1><ul>${films.map(({ film }) => `<li><a href="/watch?film=${film.id}">${escape(film.title)}</a></li>`).join('')}</ul>`,
    `<link rel="alternate" type="application/rss+xml" title="${escape(title)}" href="${feed}">`,
  )

/** RSS 2.0 with Media RSS 1.5.1: duration, player, still. */
const feed = ({ title, about = '', still = null, page: at, films }: Shown, origin: string, start: Date) =>
  `<?xml version="1.0" encoding="UTF-8"?>
<rss version="2.0" xmlns:media="http://search.yahoo.com/mrss/" xmlns:dc="http://purl.org/dc/elements/1.1/"><channel><title>${escape(title)}</title><link>${origin}${at}</link><description>${escape(about)}</description>${still ? `<image><url>${origin}/stills/${still}.jpg</url><title>${escape(title)}</title><link>${origin}${at}</link></image>` : ''}
${films
  .slice(0, IN_FEED)
  .map(
    ({ film: { id, title: name, about, seconds, daysAgo }, channel }) =>
      `<item><title>${escape(name)}</title><link>${origin}/watch?film=${id}</link><guid isPermaLink="false">${id}</guid><pubDate>${new Date(start.getTime() - daysAgo * DAY).toUTCString()}</pubDate><dc:creator>${escape(channel.name)}</dc:creator><description>${escape(about)}</description><media:group><media:content medium="video" duration="${seconds}"/><media:player url="${origin}/play/${id}"/><media:thumbnail url="${origin}/stills/${id}.jpg" width="1280" height="720"/></media:group></item>`,
  )
  .join('\n')}
</channel></rss>`
