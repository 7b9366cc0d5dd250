import { Op } from 'sequelize'
import { Removal } from './models'

/** For so long what was taken out can be brought back. */
export const DAYS_KEPT = 30
const DAY_MS = 86_400_000

/** What was taken out earlier is gone for good. */
export const forgetRemovals = () =>
  Removal.destroy({ where: { removedAt: { [Op.lt]: new Date(Date.now() - DAYS_KEPT * DAY_MS) } } })
