import { SITE_TAG } from '@pebblestrand/contract'

// Statements of this subject, kept together.

/** Widgets with their newest release and where they are used; one page of them. */
export const listWidgets = `
SELECT w.id, w.kind, w.name, w.draft, w.kind_version AS "kindVersion", w.draft_saved_at AS "draftSavedAt", w.put_away_at IS NOT NULL AS "away",
  r.number AS "release", r.name AS "releaseName", r.settings AS "releaseSettings", r.kind_version AS "releaseKindVersion", r.published_at AS "publishedAt",
  (SELECT count(*)::int FROM installs i WHERE i.widget_id = w.id AND i.status <> 'retired') AS "installs",
  (SELECT count(DISTINCT p.site_id)::int FROM installs i JOIN pages p ON p.id = i.page_id WHERE i.widget_id = w.id AND i.status <> 'retired') AS "sites",
  (SELECT json_build_object('verb', a.verb, 'by', u.name, 'at', a.at) FROM activity a LEFT JOIN users u ON u.id = a.user_id WHERE a.widget_id = w.id ORDER BY a.at DESC LIMIT 1) AS "last",
  count(*) OVER ()::int AS "total"
FROM widgets w
LEFT JOIN LATERAL (SELECT number, name, settings, kind_version, published_at FROM releases WHERE widget_id = w.id ORDER BY number DESC LIMIT 1) r ON true
WHERE w.kind <> '${SITE_TAG}' AND (:q = '' OR w.name ILIKE '%' || :q || '%') AND (:kind = '' OR w.kind = :kind)
  AND (CASE :state WHEN 'away' THEN w.put_away_at IS NOT NULL WHEN 'draft' THEN w.put_away_at IS NULL AND r.number IS NULL
    WHEN 'published' THEN w.put_away_at IS NULL AND r.number IS NOT NULL AND w.draft_saved_at <= r.published_at
    WHEN 'changed' THEN w.put_away_at IS NULL AND r.number IS NOT NULL AND w.draft_saved_at > r.published_at ELSE w.put_away_at IS NULL END)
  AND (:use = '' OR (:use = 'used') = EXISTS (SELECT 1 FROM installs i WHERE i.widget_id = w.id AND i.status <> 'retired'))
  AND (:client = '' OR EXISTS (SELECT 1 FROM installs i JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id JOIN clients c ON c.id = s.client_id
    WHERE i.widget_id = w.id AND i.status <> 'retired' AND c.name = :client))
ORDER BY w.draft_saved_at DESC, w.id
LIMIT :limit OFFSET :offset`

/** The placements a widget stands in, with the site's look: what the stage offers. */
export const placesOfWidget = `
SELECT DISTINCT ON (s.name, pl.region, pl.width) i.id AS "installId", s.id AS "siteId", s.name AS "site", c.name AS "client", p.title AS "page", p.id AS "pageId", pl.id AS "placementId", pl.name AS "placement", pl.region, pl.width, pl.width_tablet AS "widthTablet", pl.width_phone AS "widthPhone", s.look, s.language, s.time_zone AS "timeZone", c.credited
FROM installs i JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id JOIN clients c ON c.id = s.client_id JOIN placements pl ON pl.id = i.placement_id
WHERE i.widget_id = :widgetId AND i.status <> 'retired'
ORDER BY s.name, pl.region, pl.width, i.planned_at
LIMIT 50`

/** The sites a widget stands on, over the page too, with their pages. */
export const sitesOfWidget = `
SELECT s.id AS "siteId", s.name AS "site", s.look, s.language, s.time_zone AS "timeZone",
  (SELECT coalesce(json_agg(json_build_object('title', x.title, 'path', x.path) ORDER BY x.position, x.path), '[]')
    FROM (SELECT title, path, position FROM pages WHERE site_id = s.id ORDER BY position, path LIMIT 200) x) AS "pages"
FROM sites s
WHERE s.id IN (SELECT p.site_id FROM installs i JOIN pages p ON p.id = i.page_id WHERE i.widget_id = :widgetId AND i.status <> 'retired')
ORDER BY lower(s.name)
LIMIT 50`

/** Clients on whose sites widgets stand, and kinds that there are. */
export const listFilters = `
SELECT
  (SELECT coalesce(json_agg(name ORDER BY lower(name)), '[]') FROM (SELECT DISTINCT c.name FROM installs i JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id JOIN clients c ON c.id = s.client_id WHERE i.status <> 'retired') x) AS "clients",
  (SELECT coalesce(json_agg(DISTINCT kind), '[]') FROM widgets WHERE kind <> '${SITE_TAG}') AS "kinds"`

/** Where publishing shows: the living installs with their widths. */
export const standingOf = `
SELECT i.id AS "installId", i.held_release IS NOT NULL AS "held", s.id AS "siteId", s.name AS "site", p.title AS "page", pl.name AS "placement", pl.width
FROM installs i JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id LEFT JOIN placements pl ON pl.id = i.placement_id
WHERE i.widget_id = :widgetId AND i.status <> 'retired'
ORDER BY lower(s.name), p.position, p.path`
