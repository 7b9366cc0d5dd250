import type { Removable } from '@pebblestrand/contract'
import { installsOf } from './what-goes'

// Statements of this subject, kept together.

/** What a subject is called, and where it belongs. */
export const named: Record<Removable, string> = {
  site: `SELECT name, origin AS "place", id AS "siteId" FROM sites WHERE id = :id`,
  page: `SELECT p.title AS "name", s.name AS "place", s.id AS "siteId" FROM pages p JOIN sites s ON s.id = p.site_id WHERE p.id = :id`,
  placement: `SELECT pl.name, concat_ws(', ', s.name, p.title) AS "place", s.id AS "siteId"
    FROM placements pl JOIN sites s ON s.id = pl.site_id LEFT JOIN pages p ON p.id = pl.page_id WHERE pl.id = :id`,
  widget: `SELECT name, '' AS "place", NULL AS "siteId" FROM widgets WHERE id = :id`,
  install: `SELECT w.name, concat_ws(', ', s.name, p.title, pl.name) AS "place", s.id AS "siteId"
    FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id LEFT JOIN placements pl ON pl.id = i.placement_id
    WHERE i.id = :id`,
}

/** Installs that somebody may have pasted and that no check has proved to be gone. */
export const standing = (what: Removable) => `
SELECT i.id, i.status, w.name AS "widget", s.name AS "site", p.title AS "page", pl.name AS "placement", count(*) OVER ()::int AS "total"
FROM (SELECT * FROM installs WHERE ${installsOf(what).where} AND status NOT IN ('planned', 'retired')) i
JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id LEFT JOIN placements pl ON pl.id = i.placement_id
ORDER BY lower(s.name), p.position, pl.position, i.id
LIMIT :limit`

/** What was taken out lately, the newest first; one page of it. */
export const listRemovals = `
SELECT r.id, r.what, r.name, r.place, r.counts, r.removed_at AS "removedAt", u.name AS "by", count(*) OVER ()::int AS "total"
FROM removals r LEFT JOIN users u ON u.id = r.removed_by
ORDER BY r.removed_at DESC, r.id
LIMIT :limit OFFSET :offset`
