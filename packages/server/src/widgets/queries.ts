// Statements of this subject, kept together.

/** Widgets with their newest release and where they are used; one page of them. */
export const listWidgets = `
SELECT w.id, w.kind, w.name, w.draft, w.kind_version AS "kindVersion", w.draft_saved_at AS "draftSavedAt",
  r.number AS "release", r.name AS "releaseName", r.settings AS "releaseSettings", r.kind_version AS "releaseKindVersion", r.published_at AS "publishedAt",
  (SELECT count(*)::int FROM installs i WHERE i.widget_id = w.id AND i.status <> 'retired') AS "installs",
  (SELECT count(DISTINCT p.site_id)::int FROM installs i JOIN pages p ON p.id = i.page_id WHERE i.widget_id = w.id AND i.status <> 'retired') AS "sites",
  count(*) OVER ()::int AS "total"
FROM widgets w
LEFT JOIN LATERAL (SELECT number, name, settings, kind_version, published_at FROM releases WHERE widget_id = w.id ORDER BY number DESC LIMIT 1) r ON true
WHERE (:q = '' OR w.name ILIKE '%' || :q || '%')
ORDER BY w.draft_saved_at DESC, w.id
LIMIT :limit OFFSET :offset`

/** The placements a widget stands in, with the site's look: what the stage offers. */
export const placesOfWidget = `
SELECT DISTINCT ON (s.name, pl.region, pl.width) i.id AS "installId", s.id AS "siteId", s.name AS "site", p.title AS "page", p.id AS "pageId", pl.id AS "placementId", pl.name AS "placement", pl.region, pl.width, s.look
FROM installs i JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id JOIN placements pl ON pl.id = i.placement_id
WHERE i.widget_id = :widgetId AND i.status <> 'retired'
ORDER BY s.name, pl.region, pl.width, i.planned_at
LIMIT 50`
