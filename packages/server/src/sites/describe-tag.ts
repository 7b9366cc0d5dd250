import { SITE_TAG } from '@pebblestrand/contract'
import { QueryTypes, type Sequelize } from 'sequelize'

const tagOfSite = `
SELECT i.id AS "installId", i.status, i.retiring,
  (SELECT count(*)::int FROM pages WHERE site_id = :siteId AND tag_seen) AS "on",
  (SELECT count(*)::int FROM pages WHERE site_id = :siteId AND tag_seen IS NOT NULL) AS "of"
FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id
WHERE p.site_id = :siteId AND w.kind = '${SITE_TAG}' AND i.status <> 'retired'
ORDER BY i.retiring LIMIT 1`

interface TagLine {
  installId: string
  status: 'planned' | 'handed-over' | 'pasted' | 'confirmed' | 'needs-a-hand' | 'retired'
  retiring: boolean
  /** Of the pages that were looked at since there is a tag, how many load it. */
  on: number
  of: number
}

/** The tag of a site, and on how many of its pages it was seen; null where none is planned. */
export async function describeTag(db: Sequelize, siteId: string): Promise<TagLine | null> {
  const [tag] = await db.query<TagLine>(tagOfSite, { replacements: { siteId }, type: QueryTypes.SELECT })
  return tag ?? null
}
