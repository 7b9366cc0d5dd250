import type { Evidence, Verdict } from '@pebblestrand/core/verify'
import { Op, type Transaction } from 'sequelize'
import { record } from '../activity/record'
import { announce } from '../delivery/compute'
import { Payload } from '../delivery/models'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { fetchFresh, fetchServed } from './evidence'
import { judge } from './judge'
import { Answer, Check, FindingRow } from './models'
import { planOf } from './plan-of'
import { closeRound } from './rounds'

/** Whole answers are kept for so many checks of an install; findings and facts stay. */
const ANSWERS_KEPT = 5

/** Carries out one check: looks as served, looks past the cache, judges, and notes everything in one transaction. */
export async function runCheck(context: Context, checkId: string): Promise<void> {
  const check = await Check.findByPk(checkId)
  if (!check || ['done', 'stopped', 'failed'].includes(check.state)) return
  const install = await Install.findByPk(check.installId)
  if (!install || install.status === 'retired')
    return void (await check.update({ state: 'stopped', finishedAt: new Date() }))
  try {
    const { plan, url } = await planOf(context, install)
    await check.update({ state: 'served', startedAt: new Date() })
    const served = await fetchServed(context.outbound, url)
    await check.update({ state: 'fresh' })
    const fresh = served.error ? null : await fetchFresh(context.outbound, url)
    await check.update({ state: 'judging' })
    const evidence = { served, fresh }
    await keep(context, check, evidence, await judge(context, plan, evidence))
  } catch (error) {
    await check.update({
      state: 'failed',
      finishedAt: new Date(),
      problem: error instanceof Error ? error.message : String(error),
    })
    throw error
  } finally {
    if (check.roundId) await closeRound(check.roundId)
  }
}

async function keep(context: Context, check: Check, evidence: Evidence, verdict: Verdict): Promise<void> {
  const now = new Date()
  await context.db.transaction(async (transaction) => {
    const install = await Install.findByPk(check.installId, { transaction, lock: transaction.LOCK.UPDATE })
    if (!install) return // taken out of the register while the page was read
    await FindingRow.bulkCreate(
      verdict.findings.map((f, position) => ({
        checkId: check.id,
        position,
        code: f.code,
        hands: f.hands,
        title: f.title,
        says: f.says,
        remedy: f.remedy,
        data: { ...f.data },
        proof: f.proof,
      })),
      { transaction },
    )
    for (const which of ['served', 'fresh'] as const) {
      const answer = evidence[which]
      if (answer) await Answer.create({ checkId: check.id, which, ...answer, at: new Date(answer.at) }, { transaction })
    }
    await check.update(
      { state: 'done', finishedAt: now, statusAfter: verdict.status, facts: verdict.facts },
      { transaction },
    )
    await advance(context, install, check, evidence, verdict, now, transaction)
    await forgetOldAnswers(install.id, transaction)
  })
}

/** What the verdict makes of the install; noted in the time line when its status or its fault changed. */
async function advance(
  context: Context,
  install: Install,
  check: Check,
  evidence: Evidence,
  verdict: Verdict,
  now: Date,
  transaction: Transaction,
): Promise<void> {
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
              lastModified: (evidence.fresh ?? evidence.served).headers['last-modified'] ?? null,
            },
          }
        : {}),
      ...(status === 'confirmed' ? { confirmedAt: now, pastedAt: install.pastedAt ?? now } : {}),
      ...(status === 'retired' ? { retiredAt: now } : {}),
    },
    { transaction },
  )
  const code = verdict.findings[0]?.code ?? null
  if (status !== before.status || (status === 'needs-a-hand' && code !== before.code)) {
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
    await Payload.destroy({ where: { installId: install.id }, transaction })
    await announce(context, [install.publicId], transaction)
  }
}

async function lastCode(install: Install, transaction: Transaction): Promise<string | null> {
  if (!install.lastCheckId) return null
  const first = await FindingRow.findOne({ where: { checkId: install.lastCheckId, position: 0 }, transaction })
  return first?.code ?? null
}

async function forgetOldAnswers(installId: string, transaction: Transaction): Promise<void> {
  const old = await Check.findAll({
    attributes: ['id'],
    where: { installId, state: { [Op.in]: ['done', 'failed'] } },
    order: [['askedAt', 'DESC']],
    offset: ANSWERS_KEPT,
    limit: 20,
    transaction,
  })
  if (old.length) await Answer.destroy({ where: { checkId: old.map((c) => c.id) }, transaction })
}
