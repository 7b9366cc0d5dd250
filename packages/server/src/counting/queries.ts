// Statements of this subject, kept together.

/** An install that counts, with the zone its days are counted in. */
export const counted = `
SELECT i.id, i.widget_id AS "widgetId", w.kind, s.time_zone AS "zone"
FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id
WHERE i.public_id = :publicId AND i.status <> 'retired'`

/** The secret of a day in a zone, made by whoever asks first. */
export const secretOf = `
WITH made AS (INSERT INTO visit_days (zone, day, secret) VALUES (:zone, :day, :secret) ON CONFLICT DO NOTHING RETURNING secret)
SELECT secret FROM made UNION ALL SELECT secret FROM visit_days WHERE zone = :zone AND day = :day LIMIT 1`

/** Marks that were not there yet are visits; gives the installs whose count grew. Always in one order, so that two servers never wait for each other. */
export const markVisits = `
WITH seen AS (
  INSERT INTO visit_marks (zone, day, public_id, mark)
  SELECT * FROM unnest($zones::text[], $days::date[], $publicIds::text[], $marks::text[]) ORDER BY 1, 2, 3, 4 ON CONFLICT DO NOTHING RETURNING public_id, day
), counts AS (SELECT public_id, day, count(*)::int AS visits FROM seen GROUP BY 1, 2)
INSERT INTO visit_counts (public_id, day, visits) SELECT public_id, day, visits FROM counts ORDER BY 1, 2
ON CONFLICT (public_id, day) DO UPDATE SET visits = visit_counts.visits + excluded.visits
RETURNING public_id AS "publicId"`

/** What was counted for installs: the last year by day, and all there ever was. */
export const visitsOf = `
SELECT i.id, s.time_zone AS "zone",
  coalesce((SELECT sum(visits)::int FROM visit_counts c WHERE c.public_id = i.public_id), 0) AS "total",
  coalesce((SELECT jsonb_object_agg(to_char(day, 'YYYY-MM-DD'), visits) FROM visit_counts c WHERE c.public_id = i.public_id AND day > current_date - 370), '{}') AS "days"
FROM installs i JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id
WHERE i.id IN (:installIds)`

/** Zones in which something is counted. */
export const zonesInUse = `
SELECT DISTINCT s.time_zone AS "zone" FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id
WHERE w.kind IN (:kinds) AND i.status <> 'retired'`

/** Installs whose numbers turn over when a day begins in their zone. */
export const countingIn = `
SELECT i.id, i.widget_id AS "widgetId" FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id
WHERE w.kind IN (:kinds) AND s.time_zone = :zone AND i.status <> 'retired' ORDER BY i.widget_id`

/** Counts of installs that are neither there nor to be brought back. */
export const forgetCounts = `
DELETE FROM visit_counts c WHERE NOT EXISTS (SELECT 1 FROM installs i WHERE i.public_id = c.public_id)
  AND NOT EXISTS (SELECT 1 FROM removed_rows r WHERE r.table_name = 'installs' AND r.row_before ->> 'public_id' = c.public_id)`
