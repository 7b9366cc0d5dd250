import type { Sight } from '@pebblestrand/core/verify'
import { literal, Op } from 'sequelize'
import { User } from '../accounts/models'
import { FindingRow, Look, Mute, type Check } from './models'

/** Findings of a check, the weightiest first. */
export async function findingsOf({ id: checkId, installId }: Pick<Check, 'id' | 'installId'>) {
  const [rows, mutes] = await Promise.all([
    FindingRow.findAll({ where: { checkId }, order: [['position', 'ASC']] }),
    Mute.findAll({ where: { installId, until: { [Op.gt]: new Date() } } }),
  ])
  const people = await User.findAll({ where: { id: mutes.flatMap(({ mutedBy }) => mutedBy ?? []) } })
  const muteOf = (wanted: string) => {
    const mute = mutes.find(({ code }) => code === wanted)
    const by = people.find(({ id }) => id === mute?.mutedBy)?.name ?? null
    return mute ? { reason: mute.reason, until: mute.until, by } : null
  }
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
    muted: muteOf(code),
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
