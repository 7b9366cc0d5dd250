// Statements of this subject, kept together.

/** It waits for a person, and nobody has put that away. */
const waits = `i.status IN ('planned', 'handed-over', 'pasted', 'needs-a-hand')
  AND NOT (i.status = 'pasted' AND i.checked_at >= i.pasted_at AND EXISTS (SELECT 1 FROM mutes m WHERE m.install_id = i.id AND m.until > now()))`

/** Everything that waits for a person, with its first finding. */
export const waiting = `
SELECT i.id, w.kind, i.method, i.status, i.retiring, i.planned_at AS "plannedAt", i.pasted_at AS "pastedAt", i.checked_at AS "checkedAt",
  w.name AS "widget", p.title AS "page", p.path, s.name AS "site", s.id AS "siteId", pl.name AS "placement",
  CASE WHEN h.id IS NULL THEN NULL ELSE jsonb_build_object('sheetId', h.id, 'to', coalesce(nullif(h.to_name, ''), h.to_mail), 'mail', h.to_mail, 'at', h.made_at, 'reminded', h.reminded, 'trouble', h.trouble) END AS "handed",
  f.code, f.title, f.says, f.remedy, f.next_action AS "nextAction"
FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id LEFT JOIN placements pl ON pl.id = i.placement_id
LEFT JOIN LATERAL (
  SELECT s2.id, s2.to_name, s2.to_mail, s2.made_at, s2.reminded, si.trouble FROM sheet_installs si JOIN sheets s2 ON s2.id = si.sheet_id
  WHERE si.install_id = i.id AND s2.withdrawn_at IS NULL AND s2.ends_at > now() AND s2.purpose = CASE WHEN i.retiring THEN 'remove' ELSE 'paste' END
  ORDER BY s2.made_at DESC LIMIT 1
) h ON true
LEFT JOIN LATERAL (
  SELECT code, title, says, remedy, next_action FROM findings WHERE check_id = i.last_check_id AND position = 0 LIMIT 1
) f ON i.status = 'needs-a-hand'
WHERE ${waits}
ORDER BY i.checked_at DESC NULLS LAST, i.planned_at
LIMIT 200`

export const counts = `
SELECT count(*) FILTER (WHERE i.status <> 'retired')::int AS "installs", count(*) FILTER (WHERE i.status = 'confirmed')::int AS "confirmed",
  count(DISTINCT p.site_id) FILTER (WHERE i.status <> 'retired')::int AS "sites",
  count(*) FILTER (WHERE ${waits})::int AS "waiting",
  max(i.checked_at) AS "checkedAt"
FROM installs i JOIN pages p ON p.id = i.page_id`

/** What changed lately, the newest word on each install. */
export const lately = `
SELECT * FROM (
  SELECT DISTINCT ON (a.install_id) a.id, a.at, a.verb, a.data, i.id AS "installId", i.status, i.retiring, w.name AS "widget", p.title AS "page", s.name AS "site"
  FROM activity a JOIN installs i ON i.id = a.install_id JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id
  WHERE a.at > now() - interval '24 hours'
  ORDER BY a.install_id, a.at DESC
) newest ORDER BY at DESC LIMIT 6`

/** Sources in use that fail, for the margin. */
export const ailing = `
SELECT id, title, problem, failures, ok_at AS "okAt" FROM sources s
WHERE problem IS NOT NULL AND EXISTS (SELECT 1 FROM widget_sources ws WHERE ws.source_id = s.id)
ORDER BY failures DESC, title LIMIT 5`

/** Swaps that begin or end within a fortnight, and those that could not be done. */
export const swapsAhead = `
SELECT ps.id, ps.install_id AS "installId", ps.state, ps.problem, CASE WHEN ps.state = 'on' THEN ps.until_at ELSE ps.from_at END AS "at", ps.until_at AS "until",
  w.name AS "widget", b.name AS "before", p.title AS "page", s.name AS "site", s.time_zone AS "timeZone"
FROM planned_swaps ps JOIN installs i ON i.id = ps.install_id JOIN widgets w ON w.id = ps.widget_id JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id
LEFT JOIN widgets b ON b.id = coalesce(ps.back_to, i.widget_id)
WHERE (ps.state = 'planned' AND ps.from_at < now() + interval '14 days') OR (ps.state = 'on' AND ps.until_at < now() + interval '14 days')
  OR (ps.state = 'failed' AND ps.from_at > now() - interval '14 days')
ORDER BY 5 LIMIT 20`

/** Published widgets of which nothing is left. */
export const emptied = `
SELECT w.id, w.name, w.emptied_at AS "at", count(i.id)::int AS "installs" FROM widgets w
LEFT JOIN installs i ON i.widget_id = w.id AND i.status <> 'retired'
WHERE w.emptied_at IS NOT NULL GROUP BY w.id ORDER BY w.emptied_at LIMIT 20`
