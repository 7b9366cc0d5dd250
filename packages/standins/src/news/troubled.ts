import type { FastifyReply, FastifyRequest } from 'fastify'

export const troubledHost = 'troubled-feeds'

const xml = 'application/rss+xml'
const channel = (items: string) =>
  `<?xml version="1.0"?><rss version="2.0"><channel><title>Weather station</title><link>http://weather.invalid/</link>${items}</channel></rss>`
const entry = '<item><title>Wind from the west</title><guid isPermaLink="false">w1</guid></item>'

/** How often each address was asked for: `fails-later` is well once and ill from then on. */
const asked = new Map<string, number>()

const answers: Record<string, (reply: FastifyReply) => unknown> = {
  '/empty.xml': (reply) => reply.header('content-type', xml).send(''),
  '/no-items.xml': (reply) => reply.header('content-type', xml).send(channel('')),
  '/broken.xml': (reply) => reply.header('content-type', xml).send(channel(entry).slice(0, 70)),
  '/not-a-feed.txt': (reply) => reply.header('content-type', 'text/plain').send('Just words.'),
  '/page-as-feed.xml': (reply) =>
    reply.header('content-type', xml).send('<!DOCTYPE html><html><body><h1>Sorry</h1></body></html>'),
  '/gone.xml': (reply) => reply.code(404).send('gone'),
  '/error.xml': (reply) => reply.code(500).send('oh'),
  '/large.xml': (reply) =>
    reply.header('content-type', xml).send(channel('<!-- ' + 'x'.repeat(6 * 1024 * 1024) + ' -->')),
  '/slow.xml': (reply) => {
    reply.hijack()
    reply.raw.writeHead(200, { 'content-type': xml })
    const timer = setInterval(() => reply.raw.write(' '), 500)
    reply.raw.on('close', () => clearInterval(timer))
  },
  '/inward.xml': (reply) => reply.redirect('http://127.0.0.1:9/', 302),
  '/round.xml': (reply) => reply.redirect('/round.xml', 302),
  '/latin.xml': (reply) =>
    reply
      .header('content-type', 'text/xml')
      .send(
        Buffer.from(
          '<?xml version="1.0" encoding="ISO-8859-1"?><rss version="0.91"><channel><title>Caf\xe9</title><item><title>Sm\xf8rrebr\xf8d</title><link>/a</link></item></channel></rss>',
          'latin1',
        ),
      ),
  '/bare.xml': (reply) =>
    reply
      .header('content-type', xml)
      .send(channel('<item><title>No guid</title></item><item><title>No link</title></item>')),
  '/odd-letters.json': (reply) =>
    reply.header('content-type', 'application/feed+json').send(
      JSON.stringify({
        version: 'https://jsonfeed.org/version/1.1',
        title: 'Odd\0 letters',
        items: [{ id: 'o\u00001', title: 'Half a pair \ud83d', content_text: 'Nothing\0ness', tags: ['\ud83d'] }],
      }),
    ),
  '/': (reply) =>
    reply.header('content-type', 'text/html').send('<!DOCTYPE html><title>No feeds here</title><p>Nothing to read.'),
}

export function serveTroubled(request: FastifyRequest, reply: FastifyReply): unknown {
  const path = new URL(request.url, 'http://t.invalid').pathname
  if (path === '/fails-later.xml') {
    const times = (asked.get(request.url) ?? 0) + 1
    asked.set(request.url, times)
    return times === 1 ? reply.header('content-type', xml).send(channel(entry)) : reply.code(503).send('later')
  }
  return answers[path]?.(reply) ?? reply.code(404).send('no such trouble')
}
