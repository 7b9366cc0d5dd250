// Statements of this subject, kept together.

/** What stands over pages of a site: living installs without a placement, each with the release it shows and its widget's draft. */
export const overPageOn = `
SELECT i.id AS "installId", w.id AS "widgetId", w.name AS "widget", w.kind, p.title AS "page", p.path AS "on", s.time_zone AS "timeZone",
  i.held_release IS NOT NULL AS "held", r.settings, r.kind_version AS "kindVersion", w.draft, w.kind_version AS "draftKindVersion"
FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id
JOIN LATERAL (
  SELECT settings, kind_version FROM releases WHERE widget_id = w.id AND (i.held_release IS NULL OR number = i.held_release)
  ORDER BY number DESC LIMIT 1
) r ON true
WHERE p.site_id = :siteId AND i.placement_id IS NULL AND i.status <> 'retired' AND NOT i.retiring
ORDER BY i.planned_at, i.id
LIMIT 200`

/** Kept visits of the sites on which a widget follows its newest release. */
export const expectationsAbout = `
SELECT e.id, e.site_id AS "siteId", s.name AS "site", s.time_zone AS "timeZone", e.name, e.visit, e.expected
FROM visit_expectations e JOIN sites s ON s.id = e.site_id
WHERE e.site_id IN (
  SELECT p.site_id FROM installs i JOIN pages p ON p.id = i.page_id
  WHERE i.widget_id = :widgetId AND i.placement_id IS NULL AND i.held_release IS NULL AND i.status <> 'retired' AND NOT i.retiring
)
ORDER BY lower(s.name), e.made_at
LIMIT 500`
