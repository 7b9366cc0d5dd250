import type { Sequelize } from 'sequelize'

/** How much an agency of a thousand sites gathers in some years. */
export const ESTATE = { sites: 1000, installs: 3000, checks: 200_000, leads: 20_000, mails: 20_000 }

interface Models {
  /** Of each, one that was made through the routes: the rest are like it. */
  widgetId: string
  formId: string
}

/** Statements that fill the tables; each but the first stands on those before it. */
const filling = [
  `INSERT INTO clients (name) SELECT 'Client ' || n FROM generate_series(1, 200) n`,
  `INSERT INTO sites (client_id, name, origin, platform)
   SELECT (SELECT id FROM clients WHERE name = 'Client ' || (1 + n % 200)), 'Site ' || n, 'https://s' || n || '.example', 'hand-coded'
   FROM generate_series(1, ${ESTATE.sites}) n`,
  `INSERT INTO pages (site_id, title, path, position)
   SELECT id, 'Page ' || n, '/p' || n, n FROM sites, generate_series(1, 3) n WHERE name LIKE 'Site %'`,
  `INSERT INTO placements (site_id, name, region, width) SELECT id, 'Sidebar', 'sidebar', 300 FROM sites WHERE name LIKE 'Site %'`,
  `INSERT INTO installs (public_id, widget_id, page_id, placement_id, method, status, pasted_at, confirmed_at, checked_at, planned_by)
   SELECT 'estate-' || substr(md5(p.id::text), 1, 16), $widgetId, p.id, pl.id, 'inline',
     (ARRAY['confirmed', 'confirmed', 'confirmed', 'needs-a-hand', 'pasted', 'planned'])[1 + (random() * 5)::int],
     now() - random() * interval '300 days', now() - random() * interval '200 days', now() - random() * interval '2 days', (SELECT id FROM users LIMIT 1)
   FROM pages p JOIN placements pl ON pl.site_id = p.site_id AND pl.page_id IS NULL JOIN sites s ON s.id = p.site_id WHERE s.name LIKE 'Site %'`,
  `INSERT INTO readings (page_id, began_at)
   SELECT p.id, now() - n * interval '6 days' FROM pages p, generate_series(1, 20) n`,
  `INSERT INTO checks (install_id, reading_id, cause, state, asked_at, finished_at, status_after)
   SELECT i.id, r.id, 'round', 'done', r.began_at, r.began_at + interval '3 s', i.status
   FROM (SELECT *, row_number() OVER (PARTITION BY page_id) AS one FROM installs) i JOIN readings r ON r.page_id = i.page_id, generate_series(1, 4) WHERE i.one = 1 LIMIT ${ESTATE.checks}`,
  `UPDATE installs i SET last_check_id = (SELECT id FROM checks WHERE install_id = i.id ORDER BY finished_at DESC LIMIT 1) WHERE last_check_id IS NULL`,
  `INSERT INTO findings (check_id, code, next_action, position, title, says, remedy, data, proof)
   SELECT id, 'absent', 'paste', 0, 'Not on the page', 'It is not there.', 'Paste it.', '{}', '{}' FROM checks WHERE status_after = 'needs-a-hand'`,
  `INSERT INTO looks (reading_id, how, url, final_url, status, headers, html, ms, at)
   SELECT id, 'served', 'https://s.example/', 'https://s.example/', 200, '{}', '<p>', 10, began_at FROM readings WHERE began_at > now() - interval '40 days' ON CONFLICT DO NOTHING`,
  `INSERT INTO activity (at, verb, install_id, data) SELECT finished_at, 'checked', install_id, '{"status":"confirmed"}' FROM checks WHERE finished_at > now() - interval '30 days'`,
  `INSERT INTO leads (public_id, key, widget_id, site_id, page_path, release, state, content, at)
   SELECT l.public_id, 'estate-key-' || n, l.widget_id, l.site_id, l.page_path, l.release, CASE WHEN n % 9 = 0 THEN 'new' WHEN n % 50 = 0 THEN 'spam' ELSE 'done' END, l.content, now() - n * interval '10 minutes'
   FROM (SELECT * FROM leads WHERE widget_id = $formId LIMIT 1) l, generate_series(1, ${ESTATE.leads}) n`,
  `INSERT INTO lead_deliveries (lead_id, what, state) SELECT id, 'note-agency', 'sent' FROM leads ON CONFLICT DO NOTHING`,
  `INSERT INTO mails (kind, to_mail, subject, text, html, state, queued_at, sent_at, lead_ids)
   SELECT 'lead-note', 'a@example.org', 'A lead', '', '', 'sent', l.at, l.at, jsonb_build_array(l.id) FROM leads l LIMIT ${ESTATE.mails}`,
  `INSERT INTO sheets (token, purpose, site_id, language, ends_at, made_at) SELECT md5(id::text), 'paste', id, 'en-GB', now() + interval '20 days', now() FROM sites WHERE name LIKE 'Site %'`,
  `INSERT INTO sheet_installs (sheet_id, install_id, method, snippet)
   SELECT h.id, i.id, 'inline', '<div>' FROM sheets h JOIN pages p ON p.site_id = h.site_id JOIN installs i ON i.page_id = p.id ON CONFLICT DO NOTHING`,
  `INSERT INTO visit_counts (public_id, day, visits) SELECT i.public_id, current_date - n, n FROM installs i, generate_series(1, 7) n`,
]

/** Fills the tables as those of a large agency are, and lets the planner know of it. Takes some seconds. */
export async function fillEstate(db: Sequelize, models: Models): Promise<void> {
  await db.transaction(async (transaction) => {
    // All of it stands on what is there: that need not be looked up for every row.
    await db.query('SET LOCAL session_replication_role = replica', { transaction })
    for (const sql of filling)
      await db.query(sql, { transaction, ...(sql.includes('$') ? { bind: { ...models } } : {}) })
  })
  await db.query('VACUUM ANALYZE')
}
