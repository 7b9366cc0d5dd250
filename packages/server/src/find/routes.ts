import type { FastifyInstance } from 'fastify'
import { QueryTypes } from 'sequelize'
import { z } from 'zod'
import type { Context } from '../platform/context'
import { literally } from '../platform/database/like'
import { parse } from '../platform/http/parse'

const Query = z.object({ q: z.string().trim().min(1).max(100) })

/** Things by name, of all sorts; those that begin with the words first. */
const find = `
SELECT * FROM (
  SELECT 'site' AS sort, id, name, origin AS more, id AS "siteId" FROM sites WHERE name ILIKE :like OR origin ILIKE :like
  UNION ALL SELECT 'widget', id, name, kind, NULL FROM widgets WHERE name ILIKE :like
  UNION ALL SELECT 'page', p.id, p.title, s.name, s.id FROM pages p JOIN sites s ON s.id = p.site_id WHERE p.title ILIKE :like OR p.path ILIKE :like
  UNION ALL SELECT 'install', i.id, w.name, s.name || ', ' || p.title, s.id FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id
    WHERE i.status <> 'retired' AND (w.name || ' ' || s.name || ' ' || p.title) ILIKE :like
) found
ORDER BY name NOT ILIKE :start, array_position(ARRAY['site', 'widget', 'page', 'install'], sort), lower(name), more
LIMIT 12`

export function findRoutes(app: FastifyInstance, { db }: Context): void {
  app.get('/api/find', async (request) => {
    const words = literally(parse(Query, request.query).q)
    const rows = await db.query(find, {
      replacements: { like: `%${words.split(/\s+/).join('%')}%`, start: `${words}%` },
      type: QueryTypes.SELECT,
    })
    return { rows }
  })
}
