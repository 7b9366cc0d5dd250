import type { Sight } from '@pebblestrand/core/verify'
import { literal } from 'sequelize'
import { FindingRow, Look, type Check } from './models'

/** Findings of a check, the weightiest first. */
export async function findingsOf(checkId: string) {
  const rows = await FindingRow.findAll({ where: { checkId }, order: [['position', 'ASC']] })
  return rows.map(({ id, code, subject, weight, nextAction, title, says, remedy, proof }) => ({
    id,
    code,
    subject,
    weight,
    nextAction,
    title,
    says,
    remedy,
    proof,
  }))
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
