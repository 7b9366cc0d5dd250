import type { Around } from '@pebblestrand/core/kinds'
import type { Transaction } from 'sequelize'
import { agencySettings } from '../accounts/agency-settings'

/** The agency's line below widgets of clients that have it; null where it has not written one. */
export async function creditOf(transaction?: Transaction): Promise<Around['credit']> {
  const { credit } = await agencySettings(transaction)
  return credit.words ? credit : null
}
