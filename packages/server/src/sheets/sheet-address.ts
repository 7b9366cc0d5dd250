import type { Config } from '../platform/config'
import type { Sheet, SheetPurpose } from './models'

/** Where sheets of each purpose stand; short, for whoever types them from paper. */
export const sheetPaths: Record<SheetPurpose, string> = { paste: '/paste', remove: '/take-out', kept: '/kept' }

export const sheetAddress = (
  { origin }: Pick<Config, 'origin'>,
  { purpose, token }: Pick<Sheet, 'purpose' | 'token'>,
) => `${origin}${sheetPaths[purpose]}/${token}`

/** Whether it can be opened. */
export const isSheetOpen = (
  { endsAt, withdrawnAt }: Pick<Sheet, 'endsAt' | 'withdrawnAt'>,
  now = new Date(),
): boolean => !withdrawnAt && endsAt > now
