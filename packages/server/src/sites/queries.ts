import { SITE_TAG, type siteOrders } from '@pebblestrand/contract'

// Statements of this subject, kept together.

/** By name alone, or first those where most needs a hand, then those where most waits. */
const orders: Record<(typeof siteOrders)[number], { join: string; by: string }> = {
  name: { join: '', by: '' },
  attention: {
    join: `LEFT JOIN (
  SELECT p.site_id, count(*) FILTER (WHERE i.status = 'needs-a-hand') AS faults, count(*) FILTER (WHERE i.status IN ('planned', 'handed-over', 'pasted')) AS waiting
  FROM installs i JOIN pages p ON p.id = i.page_id GROUP BY p.site_id
) n ON n.site_id = s.id`,
    by: 'coalesce(n.faults, 0) DESC, coalesce(n.waiting, 0) DESC,',
  },
}

/** Sites with the pebbles on their strand, in page order; one page of them. */
export const listSites = (order: keyof typeof orders) => `
SELECT s.id, s.name, s.origin, s.platform, c.name AS "client", u.name AS "keeper",
  (SELECT count(*)::int FROM pages p WHERE p.site_id = s.id) AS "pages",
  (SELECT max(i.checked_at) FROM installs i JOIN pages p ON p.id = i.page_id WHERE p.site_id = s.id) AS "checkedAt",
  (SELECT coalesce(json_agg(json_build_object('id', i.id, 'status', i.status, 'retiring', i.retiring, 'widget', w.name, 'page', p.title, 'placement', pl.name) ORDER BY p.position, pl.position, i.planned_at), '[]')
     FROM installs i JOIN pages p ON p.id = i.page_id JOIN widgets w ON w.id = i.widget_id LEFT JOIN placements pl ON pl.id = i.placement_id WHERE p.site_id = s.id) AS "pebbles",
  count(*) OVER ()::int AS "total"
FROM sites s JOIN clients c ON c.id = s.client_id LEFT JOIN users u ON u.id = s.keeper_id ${orders[order].join}
WHERE (:q = '' OR s.name ILIKE '%' || :q || '%' OR c.name ILIKE '%' || :q || '%' OR s.origin ILIKE '%' || :q || '%')
ORDER BY ${orders[order].by} lower(s.name), s.id
LIMIT :limit OFFSET :offset`

/** Installs of one site, for its page plan. */
export const installsOfSite = `
SELECT i.id, i.status, i.retiring, i.method, i.page_id AS "pageId", i.placement_id AS "placementId", i.widget_id AS "widgetId", w.name AS "widget", w.kind,
  r.settings, r.kind_version AS "kindVersion", (a.facts ->> 'height')::int AS "height",
  CASE WHEN i.status = 'needs-a-hand' THEN f.title END AS "findingTitle"
FROM installs i JOIN pages p ON p.id = i.page_id JOIN widgets w ON w.id = i.widget_id
LEFT JOIN LATERAL (SELECT settings, kind_version FROM releases WHERE widget_id = w.id ORDER BY number DESC LIMIT 1) r ON true
LEFT JOIN artefacts a ON a.public_id = i.public_id AND a.form = 'payload'
LEFT JOIN findings f ON f.check_id = i.last_check_id AND f.position = 0
WHERE p.site_id = :siteId AND i.status <> 'retired' AND w.kind <> '${SITE_TAG}'
ORDER BY i.planned_at, i.id`

/** Every placement there is, for trying a widget before it is planned anywhere; shared ones on the first page that has been looked at. */
export const allPlaces = `
SELECT s.id AS "siteId", s.name AS "site", c.name AS "client", p.title AS "page", pl.id AS "placementId", pl.name AS "placement", pl.region, pl.width, pl.width_tablet AS "widthTablet", pl.width_phone AS "widthPhone", s.look, s.language, s.time_zone AS "timeZone", c.credited,
  coalesce(pl.page_id, (SELECT sp.id FROM pages sp WHERE sp.site_id = s.id AND EXISTS (SELECT 1 FROM readings r WHERE r.page_id = sp.id) ORDER BY sp.position, sp.path LIMIT 1)) AS "pageId",
  count(*) OVER ()::int AS "total"
FROM placements pl JOIN sites s ON s.id = pl.site_id JOIN clients c ON c.id = s.client_id LEFT JOIN pages p ON p.id = pl.page_id
WHERE (:id::uuid IS NULL OR pl.id = :id::uuid) AND (:q = '' OR (s.name || ' ' || coalesce(p.title, '') || ' ' || pl.name) ILIKE '%' || :q || '%')
ORDER BY lower(s.name), pl.page_id NULLS FIRST, pl.position, pl.id
LIMIT :limit OFFSET :offset`
