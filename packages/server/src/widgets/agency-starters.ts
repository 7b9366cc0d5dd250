import type { Settings } from '@pebblestrand/core/kinds'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, integer, json, maybeRef, text, time } from '../platform/database/columns'

/** A design that the agency keeps for itself. */
export class AgencyStarter extends Model<InferAttributes<AgencyStarter>, InferCreationAttributes<AgencyStarter>> {
  declare id: CreationOptional<string>
  declare kind: string
  declare name: string
  declare settings: Settings
  declare kindVersion: number
  declare madeBy: CreationOptional<string | null>
  declare madeAt: CreationOptional<Date>
}

export function defineAgencyStarters(sequelize: Sequelize): void {
  AgencyStarter.init(
    {
      id: id(),
      kind: text(),
      name: text(),
      settings: json(),
      kindVersion: integer(1),
      madeBy: maybeRef(),
      madeAt: time(),
    },
    { sequelize, tableName: 'agency_starters' },
  )
}
