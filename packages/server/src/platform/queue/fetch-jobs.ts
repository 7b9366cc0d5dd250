import { QueryTypes, type Sequelize } from 'sequelize'
import type { Work } from './work'

export interface FetchedJob {
  id: string
  data: object
}

/**
 * As the queue's own fetch (pg-boss 10, plans.js), but each share gets so many at once over all workers, and shares take
 * turns: a job is begun, and its clock with it, when its share has room. Jobs without a share take no turns. What a person waits
 * for goes first.
 */
const FETCH = `
WITH busy AS (
  SELECT data->>'share' AS share, count(*) AS jobs FROM queue.job
  WHERE name = :name AND state = 'active' AND data->>'share' IS NOT NULL GROUP BY 1
), waiting AS (
  SELECT j.id, j.created_on, j.priority, j.data->>'share' AS share,
    row_number() OVER (PARTITION BY j.data->>'share' ORDER BY j.priority DESC, j.created_on, j.id) + coalesce(busy.jobs, 0) AS nth
  FROM queue.job j LEFT JOIN busy ON busy.share = j.data->>'share'
  WHERE j.name = :name AND j.state < 'active' AND j.start_after < now()
), next AS (
  SELECT id FROM queue.job
  WHERE name = :name AND state < 'active' AND id IN (
    SELECT id FROM waiting WHERE share IS NULL OR nth <= :each
    ORDER BY priority DESC, CASE WHEN share IS NULL THEN 0 ELSE nth END, created_on LIMIT :most
  )
  FOR UPDATE SKIP LOCKED
)
UPDATE queue.job j SET state = 'active', started_on = now(),
  retry_count = CASE WHEN started_on IS NOT NULL THEN retry_count + 1 ELSE retry_count END
FROM next WHERE j.name = :name AND j.id = next.id
RETURNING j.id, j.data`

const UNLIMITED = 1_000_000

/** Takes so many jobs of one sort out of the line. */
export const fetchJobs = (db: Sequelize, { job, each }: Work, most: number): Promise<FetchedJob[]> =>
  db.query<FetchedJob>(FETCH, {
    replacements: { name: job.name, each: Math.min(each, UNLIMITED), most },
    type: QueryTypes.SELECT,
  })
