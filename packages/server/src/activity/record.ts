import type { Transaction } from 'sequelize'
import { Activity, type Verb } from './models'

interface Subject {
  userId?: string | null
  installId?: string
  widgetId?: string
  siteId?: string
  data?: Record<string, unknown>
}

/** Notes who did what, when; in the same transaction as the change itself. */
export async function record(verb: Verb, subject: Subject, transaction?: Transaction): Promise<void> {
  await Activity.create({ verb, ...subject }, { transaction })
}
