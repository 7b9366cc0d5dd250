import type { Look, Verdict, Verified } from '@pebblestrand/core/verify'
import { plainLookIds } from '@pebblestrand/core/verify/words'
import type { Transaction } from 'sequelize'
import { record } from '../activity/record'
import { announce } from '../artefacts/announce'
import { Artefact } from '../artefacts/models'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { Check, FindingRow, type Reading } from '../findings/models'
import { tellWidth } from './note-widths'

/**
 * Writes what follows from a verdict: the findings, the check's end, and where the install stands now.
 * @returns whether it is news: no check that began later is written down already
 */
export async function applyVerdict(
  context: Context,
  check: Check,
  reading: Reading,
  looks: readonly Look[],
  verdict: Verified,
  transaction: Transaction,
): Promise<boolean> {
  const install = await Install.findByPk(check.installId, { transaction, lock: transaction.LOCK.UPDATE })
  if (!install) return false // taken out of the register while the page was read
  await FindingRow.bulkCreate(
    verdict.findings.map(({ data, ...finding }, position) => ({
      ...finding,
      checkId: check.id,
      position,
      data: { ...data },
    })),
    { transaction },
  )
  const now = new Date()
  const { fingerprint: _, ...facts } = verdict.facts
  await check.update(
    {
      state: 'done',
      finishedAt: now,
      statusAfter: verdict.status,
      facts: { ...facts, notes: verdict.notes, reasoning: verdict.reasoning },
      readingId: reading.id,
    },
    { transaction },
  )
  if (await isOvertaken(install, check, transaction)) return false
  const newest = looks.findLast(({ how }) => (plainLookIds as string[]).includes(how))!
  if (await advance(context, install, check, newest, verdict, now, transaction))
    await reading.update({ isEvidence: true }, { transaction })
  await tellWidth({ install, verdict }, check.id, transaction)
  return true
}

/** Whether a check that began later is written down already: it saw a newer page. */
async function isOvertaken(install: Install, { startedAt }: Check, transaction: Transaction): Promise<boolean> {
  const last = install.lastCheckId && (await Check.findByPk(install.lastCheckId, { transaction }))
  return Boolean(last && last.startedAt && startedAt && last.startedAt > startedAt)
}

/** What the verdict makes of the install; noted in the time line, and true, when its status or its fault changed. */
async function advance(
  context: Context,
  install: Install,
  check: Check,
  newest: Look,
  verdict: Verdict,
  now: Date,
  transaction: Transaction,
): Promise<boolean> {
  const before = { status: install.status, code: await lastCode(install, transaction) }
  const waiting = install.status === 'planned' || install.status === 'handed-over'
  // Somebody may have said "pasted" while the check was on its way; its verdict on a planned install does not undo that.
  const status =
    install.status === 'pasted' && (verdict.status === 'planned' || verdict.status === 'handed-over')
      ? 'pasted'
      : verdict.status
  await install.update(
    {
      status,
      checkedAt: now,
      lastCheckId: check.id,
      ...(waiting && !verdict.facts.copies && verdict.facts.fingerprint
        ? {
            baseline: {
              fingerprint: verdict.facts.fingerprint,
              lastModified: newest.headers['last-modified'] ?? null,
            },
          }
        : {}),
      ...(status === 'confirmed' ? { confirmedAt: now, pastedAt: install.pastedAt ?? now } : {}),
      ...(status === 'retired' ? { retiredAt: now } : {}),
    },
    { transaction },
  )
  const code = verdict.findings[0]?.code ?? null
  const isChange = status !== before.status || (status === 'needs-a-hand' && code !== before.code)
  if (isChange) {
    await record(
      status === 'retired' ? 'retired' : 'checked',
      {
        userId: check.askedBy,
        installId: install.id,
        data: { status, code, title: verdict.findings[0]?.title ?? null },
      },
      transaction,
    )
  }
  if (status === 'retired') {
    await Artefact.destroy({ where: { installId: install.id }, transaction })
    await announce(context, [install.publicId], transaction)
  }
  return isChange
}

async function lastCode(install: Install, transaction: Transaction): Promise<string | null> {
  if (!install.lastCheckId) return null
  const first = await FindingRow.findOne({ where: { checkId: install.lastCheckId, position: 0 }, transaction })
  return first?.code ?? null
}
