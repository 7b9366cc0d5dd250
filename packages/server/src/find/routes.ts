import { routes, SITE_TAG, type Found } from '@pebblestrand/contract'
import { kindOf } from '@pebblestrand/core/kinds'
import { QueryTypes } from 'sequelize'
import type { z } from 'zod'
import type { Context } from '../platform/context'
import { literally } from '../platform/database/like'
import type { Serve } from '../platform/http/serve'

/** Things by name, of all sorts; those that begin with the words first. */
const find = `
SELECT * FROM (
  SELECT 'site' AS sort, id, name, origin AS more, id AS "siteId" FROM sites WHERE name ILIKE :like OR origin ILIKE :like
  UNION ALL SELECT 'widget', id, name, kind, NULL FROM widgets WHERE kind <> '${SITE_TAG}' AND name ILIKE :like
  UNION ALL SELECT 'page', p.id, p.title, s.name, s.id FROM pages p JOIN sites s ON s.id = p.site_id WHERE p.title ILIKE :like OR p.path ILIKE :like
  UNION ALL SELECT 'install', i.id, w.name, s.name || ', ' || p.title, s.id FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id
    WHERE i.status <> 'retired' AND (w.name || ' ' || s.name || ' ' || p.title) ILIKE :like
) found
ORDER BY name NOT ILIKE :start, array_position(ARRAY['site', 'widget', 'page', 'install'], sort), lower(name), more
LIMIT 12`

export function findRoutes(serve: Serve, { db }: Context): void {
  serve(routes.find.find, async ({ query: { q } }) => {
    const words = literally(q)
    const rows = await db.query<z.infer<typeof Found>>(find, {
      replacements: { like: `%${words.split(/\s+/).join('%')}%`, start: `${words}%` },
      type: QueryTypes.SELECT,
    })
    return {
      rows: rows.map((row) => (row.sort === 'widget' ? { ...row, more: kindOf(row.more)?.name ?? row.more } : row)),
    }
  })
}
