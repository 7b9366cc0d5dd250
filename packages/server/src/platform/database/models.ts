import type { Sequelize } from 'sequelize'
import { defineAccounts } from '../../accounts/models'
import { defineActivity } from '../../activity/models'
import { defineChecks } from '../../checks/models'
import { defineDelivery } from '../../delivery/models'
import { defineInstalls } from '../../installs/models'
import { defineRemovals } from '../../removals/models'
import { defineSites } from '../../sites/models'
import { defineSources } from '../../sources/models'
import { defineWidgets } from '../../widgets/models'

/** Ties every subject's models to one database. */
export function defineModels(db: Sequelize): void {
  for (const define of [
    defineAccounts,
    defineSites,
    defineSources,
    defineWidgets,
    defineInstalls,
    defineChecks,
    defineDelivery,
    defineActivity,
    defineRemovals,
  ])
    define(db)
}
