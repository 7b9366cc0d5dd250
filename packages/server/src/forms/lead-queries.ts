import type { LeadFilter } from '@pebblestrand/contract'

// Statements of what is listed, kept together.

/** What a filter lets through, and what it is bound with. Of days, those of the site. */
export function filtered({ widgetId, siteId, path, state, from, until, tests }: Omit<LeadFilter, 'q'>) {
  const parts: [string, unknown][] = [
    ...(widgetId ? [['l.widget_id = $widgetId', widgetId] as [string, unknown]] : []),
    ...(siteId ? [['l.site_id = $siteId', siteId] as [string, unknown]] : []),
    ...(path ? [['l.page_path = $path', path] as [string, unknown]] : []),
    ...(from
      ? [[`l.at >= ($from::date)::timestamp AT TIME ZONE coalesce(s.time_zone, 'UTC')`, from] as [string, unknown]]
      : []),
    ...(until
      ? [[`l.at < ($until::date + 1)::timestamp AT TIME ZONE coalesce(s.time_zone, 'UTC')`, until] as [string, unknown]]
      : []),
  ]
  const names = [widgetId && 'widgetId', siteId && 'siteId', path && 'path', from && 'from', until && 'until'].filter(
    Boolean,
  )
  return {
    where: [
      state ? 'l.state = $state' : "l.state IN ('new', 'done')",
      tests === '1' ? 'true' : 'NOT l.is_test',
      ...parts.map(([sql]) => sql),
    ].join(' AND '),
    bind: {
      ...(state ? { state } : {}),
      ...Object.fromEntries(names.map((name, at) => [name, parts[at]![1]])),
    },
  }
}

const FROM = `FROM leads l JOIN widgets w ON w.id = l.widget_id LEFT JOIN sites s ON s.id = l.site_id`

const columns = `
SELECT l.id, l.at, l.at::text AS "cursor", l.state, l.held_for AS "heldFor", l.is_test AS "isTest", l.widget_id AS "widgetId", w.name AS widget, l.site_id AS "siteId",
  coalesce(s.name, '') AS site, l.page_path AS path, l.release, l.content`

export const listed = (where: string) => `${columns}
${FROM} WHERE ${where} ORDER BY l.at DESC, l.id DESC LIMIT $limit OFFSET $offset`

/** The same, after the last one of the batch before: `$at` as the database wrote it. */
export const listedAfter = (where: string) =>
  `${columns} ${FROM} WHERE ${where} AND (l.at, l.id) < ($at::timestamptz, $id::uuid) ORDER BY l.at DESC, l.id DESC LIMIT $limit`

/** Sites are needed for their days alone. */
export const total = (where: string) => `
SELECT count(*)::int AS n FROM leads l${where.includes('s.time_zone') ? ' LEFT JOIN sites s ON s.id = l.site_id' : ''} WHERE ${where}`

export const held = `SELECT count(*)::int AS n FROM leads WHERE state = 'held' AND NOT is_test`

/** The different values of an indexed column: each is found from the one before, however many rows there are of it. */
const different = (column: 'widget_id' | 'site_id') => `
WITH RECURSIVE one AS (
  (SELECT ${column} AS id FROM leads WHERE ${column} IS NOT NULL ORDER BY ${column} LIMIT 1)
  UNION ALL
  SELECT (SELECT ${column} FROM leads WHERE ${column} > one.id ORDER BY ${column} LIMIT 1) FROM one WHERE one.id IS NOT NULL
)`

/** Forms and sites that anything came from. */
export const formsWithLeads = `${different('widget_id')} SELECT w.id, w.name FROM one JOIN widgets w USING (id) ORDER BY w.name LIMIT 200`
export const sitesWithLeads = `${different('site_id')} SELECT s.id, s.name FROM one JOIN sites s USING (id) ORDER BY s.name LIMIT 200`

/** For Today: what nobody has looked at, and lists of codes that run out. */
export const waitingLeads = `
SELECT count(*) FILTER (WHERE state = 'new')::int AS new, count(*) FILTER (WHERE state = 'held')::int AS held FROM leads WHERE NOT is_test AND state IN ('new', 'held')`

/** For Today: forms that have sent as many mails as they may in an hour. */
export const limitedReplies = `
SELECT w.id AS "widgetId", w.name, count(*)::int AS waiting FROM lead_deliveries d JOIN leads l ON l.id = d.lead_id JOIN widgets w ON w.id = l.widget_id
WHERE d.what = 'reply' AND d.state = 'limited' AND l.state IN ('new', 'done') GROUP BY w.id, w.name ORDER BY 3 DESC, 2 LIMIT 20`

export const fewCoupons = `
SELECT w.id AS "widgetId", w.name, (SELECT count(*) FROM coupons c WHERE c.widget_id = w.id AND c.given_at IS NULL)::int AS left,
  (SELECT count(*) FROM lead_deliveries d JOIN leads l ON l.id = d.lead_id WHERE l.widget_id = w.id AND d.what = 'reply' AND d.state = 'waiting')::int AS waiting
FROM forms f JOIN widgets w ON w.id = f.widget_id
WHERE f.delivery ->> 'coupon' = 'list' AND (f.delivery ->> 'reply')::boolean
  AND (SELECT count(*) FROM (SELECT 1 FROM coupons c WHERE c.widget_id = w.id AND c.given_at IS NULL LIMIT $few + 1) AS first) <= $few
ORDER BY 3, 2 LIMIT 20`
