import type { ReadingStep, SiteRead } from '@pebblestrand/contract'
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, integer, maybeJson, maybeRef, maybeText, maybeTime, text, time } from '../../platform/database/columns'

/** One reading of a site: what it says of itself. */
export class SiteReading extends Model<InferAttributes<SiteReading>, InferCreationAttributes<SiteReading>> {
  declare id: CreationOptional<string>
  /** The site that was made from it, or read again; null while there is none. */
  declare siteId: CreationOptional<string | null>
  declare address: string
  declare askedBy: CreationOptional<string | null>
  declare askedAt: CreationOptional<Date>
  declare state: CreationOptional<'queued' | 'running' | 'done' | 'failed' | 'stopped'>
  declare step: CreationOptional<ReadingStep | null>
  declare done: CreationOptional<number>
  declare total: CreationOptional<number>
  declare finishedAt: CreationOptional<Date | null>
  declare problem: CreationOptional<string | null>
  declare read: CreationOptional<SiteRead | null>
  /** The first page in a wide window, a JPEG. */
  declare picture: CreationOptional<Buffer | null>
}

export function defineSiteReadings(sequelize: Sequelize): void {
  SiteReading.init(
    {
      id: id(),
      siteId: maybeRef(),
      address: text(),
      askedBy: maybeRef(),
      askedAt: time(),
      state: { ...text(), defaultValue: 'queued' },
      step: maybeText(),
      done: integer(0),
      total: integer(0),
      finishedAt: maybeTime(),
      problem: maybeText(),
      read: maybeJson(),
      picture: { type: DataTypes.BLOB, allowNull: true },
    },
    { sequelize, tableName: 'site_readings' },
  )
}
