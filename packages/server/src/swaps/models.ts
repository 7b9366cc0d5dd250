import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, maybeRef, maybeText, maybeTime, ref, text, time } from '../platform/database/columns'

/** A widget that stands in an install from one moment to another. */
export class PlannedSwap extends Model<InferAttributes<PlannedSwap>, InferCreationAttributes<PlannedSwap>> {
  declare id: CreationOptional<string>
  declare installId: string
  declare widgetId: string
  declare fromAt: Date
  declare untilAt: Date | null
  /** What stood there before it began, and comes back. */
  declare backTo: CreationOptional<string | null>
  declare state: CreationOptional<'planned' | 'on' | 'over' | 'failed'>
  declare problem: CreationOptional<string | null>
  declare plannedBy: CreationOptional<string | null>
  declare madeAt: CreationOptional<Date>
}

export function defineSwaps(sequelize: Sequelize): void {
  PlannedSwap.init(
    {
      id: id(),
      installId: ref(),
      widgetId: ref(),
      fromAt: time(),
      untilAt: maybeTime(),
      backTo: maybeRef(),
      state: { ...text(), defaultValue: 'planned' },
      problem: maybeText(),
      plannedBy: maybeRef(),
      madeAt: time(),
    },
    { sequelize, tableName: 'planned_swaps' },
  )
}
