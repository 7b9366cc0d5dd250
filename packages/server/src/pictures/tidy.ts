import type { Context } from '../platform/context'

/** Pages that browsers and caches keep show a picture for a while after no release does any more. */
const KEPT = '2 days'

const UNUSED = `
DELETE FROM pictures p WHERE p.used_at < now() - interval '${KEPT}'
  AND NOT EXISTS (SELECT 1 FROM widget_pictures w WHERE w.picture_id = p.id)
  AND NOT EXISTS (SELECT 1 FROM uploads u WHERE right(p.source_url, 49) = '/api/uploads/' || u.id)`
/** Uploads that no pick and no widget shows, nor one of its releases, nor what was removed and can come back: they were replaced, or never kept. */
const LEFT = `
DELETE FROM uploads u WHERE u.created_at < now() - interval '${KEPT}'
  AND NOT EXISTS (
    SELECT 1 FROM sources s JOIN items i ON i.source_id = s.id
    WHERE s.kind = 'picks' AND right(i.body #>> '{picture,url}', 49) = '/api/uploads/' || u.id)
  AND NOT EXISTS (SELECT 1 FROM widgets w WHERE strpos(w.draft::text, '/api/uploads/' || u.id) > 0)
  AND NOT EXISTS (SELECT 1 FROM releases r WHERE strpos(r.settings::text, '/api/uploads/' || u.id) > 0)
  AND NOT EXISTS (SELECT 1 FROM removed_rows r WHERE strpos(r.row_before::text, '/api/uploads/' || u.id) > 0)`
/** Of widgets that are gone and cannot be brought back any more. */
const FORGOTTEN = `
DELETE FROM widget_pictures p WHERE NOT EXISTS (SELECT 1 FROM widgets w WHERE w.id = p.widget_id)
  AND NOT EXISTS (SELECT 1 FROM removed_rows r WHERE r.table_name = 'widgets' AND r.row_before ->> 'id' = p.widget_id::text)`
const TOUCH = `
UPDATE pictures p SET used_at = now() WHERE EXISTS (SELECT 1 FROM widget_pictures w WHERE w.picture_id = p.id)`
const BARE = `
DELETE FROM picture_copies c WHERE NOT EXISTS (SELECT 1 FROM pictures p WHERE p.content_hash = c.content_hash)`

/** Pictures that no widget's newest release shows go, some days after they were shown last; those of removed widgets stay as long as these. */
export async function tidyPictures({ db }: Pick<Context, 'db'>): Promise<void> {
  await db.transaction(async (transaction) => {
    await db.query(FORGOTTEN, { transaction })
    await db.query(TOUCH, { transaction })
    await db.query(LEFT, { transaction })
    await db.query(UNUSED, { transaction })
    await db.query(BARE, { transaction })
  })
}
