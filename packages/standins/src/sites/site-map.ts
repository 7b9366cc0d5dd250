import type { FastifyRequest } from 'fastify'
import { escape } from '../html'
import type { Site } from './site'

const originOf = ({ protocol, headers }: FastifyRequest) => `${protocol}://${headers.host}`

/** What is said to programs that go through the site: all of it may be read, and where its map is. */
export const robots = (_site: Site, request: FastifyRequest) =>
  `User-agent: *\nDisallow:\n\nSitemap: ${originOf(request)}/sitemap.xml\n`

/** The site's pages (sitemaps.org protocol 0.9). */
export const siteMap = (site: Site, request: FastifyRequest) => `<?xml version="1.0" encoding="UTF-8"?>
<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">
${site.pages.map(({ path }) => `<url><loc>${escape(originOf(request) + path)}</loc></url>`).join('\n')}
</urlset>
`
