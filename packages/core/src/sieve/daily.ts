import type { Order } from './order'
import { ruleKinds, type Rule } from './rules'

/** Whether the same items give another answer on another day (UTC). */
export const changesDaily = (rules: readonly Rule[], order: Order): boolean =>
  order === 'shuffled' || rules.some(({ kind }) => ruleKinds[kind].daily)
