import { statusAfter } from '@pebblestrand/core/verify'
import { Op, type Transaction } from 'sequelize'
import { record } from '../activity/record'
import type { Install } from '../installs/models'
import { FindingRow, Mute } from '../findings/models'

/** The findings of installs that a person has put away until a day that has not come. */
export async function mutedCodes(
  installIds: readonly string[],
  transaction?: Transaction,
): Promise<Map<string, string[]>> {
  const rows = await Mute.findAll({
    where: { installId: [...installIds], until: { [Op.gt]: new Date() } },
    transaction,
  })
  const codes = new Map<string, string[]>()
  for (const { installId, code } of rows) codes.set(installId, [...(codes.get(installId) ?? []), code])
  return codes
}

/** Somebody said "pasted" after it was last looked at. */
const isPastedSince = ({ status, pastedAt, checkedAt }: Install) =>
  status === 'pasted' && pastedAt !== null && (checkedAt === null || pastedAt > checkedAt)

/** Where an install stands once a finding was put away or taken up again, by what was last seen; its findings in their new order. */
export async function restate(install: Install, userId: string, transaction: Transaction): Promise<void> {
  if (!install.lastCheckId || install.status === 'retired' || install.retiring) return
  const muted = (await mutedCodes([install.id], transaction)).get(install.id) ?? []
  const rows = await FindingRow.findAll({ where: { checkId: install.lastCheckId }, transaction })
  const isMuted = ({ code }: FindingRow) => Number(muted.includes(code))
  rows.sort((a, b) => isMuted(a) - isMuted(b) || b.weight - a.weight)
  for (const [position, row] of rows.entries()) await row.update({ position }, { transaction })
  const waiting = install.status === 'planned' || install.status === 'handed-over' || isPastedSince(install)
  const status = waiting ? install.status : statusAfter({ status: install.status, retiring: false, muted }, rows)
  if (status === install.status) return
  await install.update({ status }, { transaction })
  const first = rows.find((row) => !isMuted(row))
  await record(
    'checked',
    { userId, installId: install.id, data: { status, code: first?.code ?? null, title: first?.title ?? null } },
    transaction,
  )
}
