import type { Sight } from '@pebblestrand/core/verify'
import { literal, QueryTypes, type Sequelize } from 'sequelize'
import { Look, type Check, type FindingRow } from './models'

const found = `
SELECT f.id, f.code, f.subject, f.weight, f.next_action AS "nextAction", f.title, f.says, f.remedy, f.proof,
  CASE WHEN m.id IS NOT NULL THEN jsonb_build_object('reason', m.reason, 'until', m.until, 'by', u.name) END AS muted
FROM findings f JOIN checks c ON c.id = f.check_id
LEFT JOIN mutes m ON m.install_id = c.install_id AND m.code = f.code AND m.until > now()
LEFT JOIN users u ON u.id = m.muted_by
WHERE f.check_id = :checkId ORDER BY f.position`

type Found = Pick<
  FindingRow,
  'id' | 'code' | 'subject' | 'weight' | 'nextAction' | 'title' | 'says' | 'remedy' | 'proof'
> & {
  muted: { reason: string; until: string; by: string | null } | null
}

/** Findings of a check, the weightiest first, with who has put them away until when. */
export async function findingsOf(db: Sequelize, checkId: string) {
  const rows = await db.query<Found>(found, { replacements: { checkId }, type: QueryTypes.SELECT })
  return rows.map(({ muted, ...row }) => ({ ...row, muted: muted && { ...muted, until: new Date(muted.until) } }))
}

/** What is kept of the looks a check was judged by, oldest state first; none where they were kept long enough. */
export async function looksOf({ readingId }: Check, publicId: string) {
  if (!readingId) return []
  const looks = await Look.findAll({
    where: { readingId },
    attributes: { exclude: ['html', 'picture'], include: [[literal('picture IS NOT NULL'), 'hasPicture']] },
    order: [['at', 'ASC']],
  })
  return looks.map((look) => {
    const { how, url, finalUrl, status, headers, ms, at, error } = look
    return {
      how,
      url,
      finalUrl,
      status,
      headers,
      ms,
      at,
      sight: look.sight ? partOf(look.sight, publicId) : null,
      hasPicture: Boolean(look.get('hasPicture')),
      problem: error?.message ?? null,
    }
  })
}

/** Of what a browser saw, what is one install's. */
function partOf({ width, height, widgets }: Sight, publicId: string) {
  const own = widgets.filter(({ id }) => id === publicId)
  return {
    width,
    height,
    boxes: own.map(({ box }) => box),
    readyMs: own[0]?.readyMs ?? null,
    shift: Math.max(0, ...own.map(({ shift }) => shift)),
  }
}

export const checkInfo = ({
  id,
  installId,
  state,
  cause,
  askedAt,
  finishedAt,
  statusAfter,
  facts,
  problem,
}: Check) => ({ id, installId, state, cause, askedAt, finishedAt, statusAfter, facts, problem })
