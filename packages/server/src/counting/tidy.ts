import type { Context } from '../platform/context'
import { forgetCounts } from './queries'

/** Forgets what was counted of installs that are neither there nor to be brought back. */
export const tidyCounts = async ({ db }: Pick<Context, 'db'>): Promise<void> => void (await db.query(forgetCounts))
