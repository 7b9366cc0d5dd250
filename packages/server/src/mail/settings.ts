import type { MailSettings } from '@pebblestrand/contract'
import { ownWording, sheetWords, type MailKind, type Wording } from '@pebblestrand/core/handover'
import type { LabelLanguage } from '@pebblestrand/core/words'
import type { Transaction } from 'sequelize'
import { Instance } from '../accounts/models'

const KEY = 'mail-settings'

/** Until somebody says otherwise: our own words, and two reminders, three working days apart. */
const first: MailSettings = { wording: {}, remindAfter: 3, remindMost: 2 }

export async function mailSettings(transaction?: Transaction): Promise<MailSettings> {
  const stored = await Instance.findByPk(KEY, { transaction })
  return stored ? { ...first, ...(JSON.parse(stored.value) as Partial<MailSettings>) } : first
}

export async function keepMailSettings(settings: MailSettings): Promise<void> {
  await Instance.upsert({ key: KEY, value: JSON.stringify(settings) })
}

/** How a mail is worded: as the agency does it, else as we do. */
export async function wordingFor(kind: MailKind, language: LabelLanguage, transaction?: Transaction): Promise<Wording> {
  const { wording } = await mailSettings(transaction)
  return wording[kind]?.[language] ?? ownWording(sheetWords[language], kind)
}
