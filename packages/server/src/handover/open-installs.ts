import { QueryTypes, type Sequelize } from 'sequelize'

/** What a sheet can hold: what waits to be pasted, or to be taken out. What a site's tag brings is pasted by nobody. */
const isOpen = {
  paste: `NOT i.retiring AND i.status IN ('planned', 'handed-over', 'pasted', 'needs-a-hand') AND (i.method <> 'tag' OR w.kind = 'site-tag')`,
  remove: `i.retiring AND i.status <> 'retired' AND (i.method <> 'tag' OR w.kind = 'site-tag')`,
}
export type ToDo = keyof typeof isOpen

/** Of more than one, what was said to be pasted waits for a check, not for a person, unless that found a fault that wants pasting. */
const ofMany = {
  paste: `(i.status IN ('planned', 'handed-over') OR EXISTS (SELECT 1 FROM findings f WHERE f.check_id = i.last_check_id AND f.position = 0 AND i.status = 'needs-a-hand' AND f.next_action = 'paste'))`,
  remove: 'true',
}

const scopes = { install: 'i.id = :id', page: 'i.page_id = :id', site: 'p.site_id = :id' }
export type Scope = keyof typeof scopes

/** How many a sheet holds at most: nobody goes through more. */
export const MOST = 100

/** Ids of the installs that a sheet would hold, page after page. */
export async function openInstalls(db: Sequelize, purpose: ToDo, scope: Scope, id: string): Promise<string[]> {
  const rows = await db.query<{ id: string }>(
    `SELECT i.id FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id
WHERE ${scopes[scope]} AND ${isOpen[purpose]} AND (${scope === 'install' ? 'true' : ofMany[purpose]})
ORDER BY p.position, p.path, i.planned_at LIMIT ${MOST}`,
    { replacements: { id }, type: QueryTypes.SELECT },
  )
  return rows.map((row) => row.id)
}
