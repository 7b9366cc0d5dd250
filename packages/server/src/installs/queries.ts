import type { registerSorts } from '@pebblestrand/contract'

// Statements of this subject, kept together.

/** Looked up by its check: there are many times more findings than installs. */
const firstFinding = `SELECT code, title FROM findings WHERE check_id = i.last_check_id AND position = 0 LIMIT 1`

const from = `
FROM installs i
JOIN widgets w ON w.id = i.widget_id
JOIN pages p ON p.id = i.page_id
JOIN sites s ON s.id = p.site_id
JOIN clients c ON c.id = s.client_id
LEFT JOIN placements pl ON pl.id = i.placement_id
LEFT JOIN LATERAL (${firstFinding}) f ON true`

/** One line of the register. A finding is shown where the install is at fault. */
const columns = `
i.id, i.status, i.retiring, i.method, i.planned_at AS "plannedAt", i.pasted_at AS "pastedAt", i.checked_at AS "checkedAt",
w.id AS "widgetId", w.name AS "widget", w.kind,
p.id AS "pageId", p.title AS "page", p.path, s.id AS "siteId", s.name AS "site", s.origin, c.name AS "client",
pl.id AS "placementId", pl.name AS "placement", pl.region, pl.width,
coalesce(i.held_release, (SELECT max(number) FROM releases r WHERE r.widget_id = w.id)) AS "release",
(SELECT max(number) FROM releases r WHERE r.widget_id = w.id) AS "newestRelease", i.held_release IS NOT NULL AS "held",
CASE WHEN i.status = 'needs-a-hand' THEN f.code END AS "finding",
CASE WHEN i.status = 'needs-a-hand' THEN f.title END AS "findingTitle"`

/** Filters that are '' or null let everything through. */
const where = `
WHERE (:status = '' OR i.status = :status) AND (:status = 'retired' OR :retired OR i.status <> 'retired')
  AND (:siteId::uuid IS NULL OR s.id = :siteId::uuid) AND (:widgetId::uuid IS NULL OR w.id = :widgetId::uuid)
  AND (:pageId::uuid IS NULL OR p.id = :pageId::uuid)
  AND (:client = '' OR c.name = :client) AND (:kind = '' OR w.kind = :kind) AND (:region = '' OR pl.region = :region) AND (:method = '' OR i.method = :method)
  AND (:held = '' OR (i.held_release IS NOT NULL) = (:held = '1'))
  AND (:by::uuid IS NULL OR i.planned_by = :by::uuid)
  AND (:from::date IS NULL OR i.planned_at >= :from::date) AND (:to::date IS NULL OR i.planned_at < :to::date + 1)
  AND (:finding = '' OR (i.status = 'needs-a-hand' AND f.code = :finding))
  AND (:q = '' OR w.name ILIKE '%' || :q || '%' OR s.name ILIKE '%' || :q || '%' OR p.title ILIKE '%' || :q || '%' OR c.name ILIKE '%' || :q || '%')`

/** Columns the register can be sorted by, as safe SQL. */
export const sortColumns: Record<(typeof registerSorts)[number], string> = {
  widget: 'lower(w.name)',
  site: 'lower(s.name)',
  page: 'p.position',
  placement: 'pl.region',
  status: `array_position(ARRAY['needs-a-hand','planned','handed-over','pasted','confirmed','retired'], i.status)`,
  checked: 'i.checked_at',
  planned: 'i.planned_at',
}

export const register = (sort: keyof typeof sortColumns, descending: boolean) => `
SELECT ${columns}, count(*) OVER ()::int AS "total" ${from} ${where}
ORDER BY ${sortColumns[sort]} ${descending ? 'DESC' : 'ASC'} NULLS LAST, lower(s.name), p.position, pl.position, i.id
LIMIT :limit OFFSET :offset`

/** The ids alone, in the register's order: what [ and ] walk along. */
export const registerIds = (sort: keyof typeof sortColumns, descending: boolean) => `
SELECT i.id ${from} ${where}
ORDER BY ${sortColumns[sort]} ${descending ? 'DESC' : 'ASC'} NULLS LAST, lower(s.name), p.position, pl.position, i.id
LIMIT 5000`

export const someInstalls = `SELECT ${columns} ${from} WHERE i.id IN (:ids)`

/** What happened to an install, the newest first, with who did it. */
export const timeLine = `
SELECT a.id, a.at, a.verb, u.name AS "by", a.data
FROM activity a LEFT JOIN users u ON u.id = a.user_id
WHERE a.install_id = :id ORDER BY a.at DESC LIMIT 30`
export interface TimeLineRow {
  id: string
  at: Date
  verb: string
  by: string | null
  data: Record<string, unknown>
}

/** Its swaps: what is planned and what is on; of those that failed, the last. */
export const swapsShown = `
SELECT s.id, s.widget_id AS "widgetId", w.name AS "widget", s.from_at AS "from", s.until_at AS "until", s.state, s.problem
FROM planned_swaps s JOIN widgets w ON w.id = s.widget_id
WHERE s.install_id = :id AND (
  s.state IN ('planned', 'on')
  OR s.id = (SELECT id FROM planned_swaps WHERE install_id = :id AND state = 'failed' ORDER BY from_at DESC LIMIT 1))
ORDER BY s.state = 'failed', s.from_at DESC LIMIT 20`

/** What the register's filters can be set to; pages are those of the site that is chosen. */
export const filterValues = `
SELECT
  (SELECT coalesce(json_agg(json_build_object('id', id, 'name', name) ORDER BY lower(name)), '[]') FROM (SELECT DISTINCT s.id, s.name FROM installs i JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id) x) AS "sites",
  (SELECT coalesce(json_agg(json_build_object('id', id, 'name', title) ORDER BY position, path), '[]') FROM (SELECT DISTINCT p.id, p.title, p.position, p.path FROM installs i JOIN pages p ON p.id = i.page_id WHERE p.site_id = :siteId::uuid) x) AS "pages",
  (SELECT coalesce(json_agg(json_build_object('id', name, 'name', name) ORDER BY lower(name)), '[]') FROM (SELECT DISTINCT c.name FROM installs i JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id JOIN clients c ON c.id = s.client_id) x) AS "clients",
  (SELECT coalesce(json_agg(json_build_object('id', id, 'name', name) ORDER BY lower(name)), '[]') FROM (SELECT DISTINCT u.id, u.name FROM installs i JOIN users u ON u.id = i.planned_by) x) AS "people",
  (SELECT coalesce(json_agg(json_build_object('id', id, 'name', name) ORDER BY lower(name)), '[]') FROM (SELECT DISTINCT w.id, w.name FROM installs i JOIN widgets w ON w.id = i.widget_id) x) AS "widgets",
  (SELECT coalesce(json_agg(DISTINCT f.code), '[]') FROM installs i CROSS JOIN LATERAL (${firstFinding}) f WHERE i.status = 'needs-a-hand') AS "findings"`
