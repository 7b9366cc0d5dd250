import { QueryTypes } from 'sequelize'
import { agencySettings } from '../accounts/agency-settings'
import type { Context } from '../platform/context'
import { ENDLESS, type JobTime } from '../platform/queue'

/** Rows that one statement deletes, so that nobody waits for it. */
const AT_ONCE = 1000

/** What a check saw, whole: of changes, up to a day; of what was seen last of a page, however old. */
const EVIDENCE = `
DELETE FROM readings WHERE id IN (
  SELECT r.id FROM readings r
  WHERE r.is_evidence AND r.began_at < $evidence
    AND EXISTS (SELECT 1 FROM readings later WHERE later.page_id = r.page_id AND later.began_at > r.began_at)
  LIMIT ${AT_ONCE}
) RETURNING id`

/** Of checks of one install on one day (UTC) the last is kept, once their evidence is gone. */
const SAME_DAY = `
DELETE FROM checks WHERE id IN (
  SELECT c.id FROM checks c
  WHERE c.finished_at < $evidence
    AND EXISTS (
      SELECT 1 FROM checks later
      WHERE later.install_id = c.install_id AND later.finished_at > c.finished_at
        AND later.finished_at < (date_trunc('day', c.finished_at AT TIME ZONE 'UTC') + interval '1 day') AT TIME ZONE 'UTC'
    )
    AND NOT EXISTS (SELECT 1 FROM installs i WHERE i.last_check_id = c.id)
  LIMIT ${AT_ONCE}
) RETURNING id`

/** Verdicts that are too old; changes of status stay in the time line for as long as the install. */
const VERDICTS = `
DELETE FROM checks WHERE id IN (
  SELECT c.id FROM checks c
  WHERE c.finished_at < $verdicts AND NOT EXISTS (SELECT 1 FROM installs i WHERE i.last_check_id = c.id)
  LIMIT ${AT_ONCE}
) RETURNING id`

/** Rounds whose checks are gone. */
const ROUNDS = `
DELETE FROM rounds WHERE id IN (
  SELECT r.id FROM rounds r
  WHERE r.finished_at < $verdicts AND NOT EXISTS (SELECT 1 FROM checks c WHERE c.round_id = r.id)
  LIMIT ${AT_ONCE}
) RETURNING id`

const STATEMENTS = [EVIDENCE, SAME_DAY, VERDICTS, ROUNDS]
const DAY_MS = 86_400_000

/**
 * Deletes what checks saw longer ago than the agency keeps it. The last check of an install stays, and with it what it is judged by.
 * @returns `more` where its time was up and some are left
 */
export async function tidyHistory(
  { db }: Pick<Context, 'db'>,
  now = new Date(),
  time: JobTime = ENDLESS,
): Promise<'more' | void> {
  const { evidenceDays, verdictDays } = (await agencySettings()).history
  const bind = {
    evidence: new Date(now.getTime() - evidenceDays * DAY_MS),
    verdicts: new Date(now.getTime() - verdictDays * DAY_MS),
  }
  for (const sql of STATEMENTS)
    for (;;) {
      if (time.isUp()) return 'more'
      // `bind` may hold only what the statement names.
      const named = Object.fromEntries(Object.entries(bind).filter(([name]) => sql.includes(`$${name}`)))
      const gone = await db.query<{ id: string }>(sql, { bind: named, type: QueryTypes.SELECT })
      if (gone.length < AT_ONCE) break
    }
}
