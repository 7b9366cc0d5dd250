import type { AgencySettings } from '@pebblestrand/contract'
import type { Transaction } from 'sequelize'
import type { z } from 'zod'
import { Instance } from './models'

type Settings = z.output<typeof AgencySettings>

const KEY = 'agency-settings'

/** Until somebody says otherwise: no line of credit, names of client, kind and month, evidence for a quarter, verdicts for two years. */
const first: Settings = {
  credit: { words: '', link: '', look: 'plain' },
  naming: '{client}: {kind}, {month}',
  history: { evidenceDays: 90, verdictDays: 730 },
}

/** What the agency has set for all its widgets. */
export async function agencySettings(transaction?: Transaction): Promise<Settings> {
  const stored = await Instance.findByPk(KEY, { transaction })
  if (!stored) return first
  const { credit, history, ...rest } = JSON.parse(stored.value) as Partial<Settings>
  return { ...first, ...rest, credit: { ...first.credit, ...credit }, history: { ...first.history, ...history } }
}

export async function keepAgencySettings(settings: Settings, transaction: Transaction): Promise<void> {
  await Instance.upsert({ key: KEY, value: JSON.stringify(settings) }, { transaction })
}
