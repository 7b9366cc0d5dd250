import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, json, maybeRef, text, time } from '../platform/database/columns'

/** What was done, as the time line says it. A verb once shipped keeps its meaning. */
export type Verb =
  | 'planned'
  | 'handed-over'
  | 'reminded'
  | 'trouble'
  | 'downloaded'
  | 'sheet-withdrawn'
  | 'mail-failed'
  | 'pasted'
  | 'unpasted'
  | 'checked'
  | 'retiring'
  | 'retired'
  | 'kept'
  | 'method'
  | 'held'
  | 'followed'
  | 'swapped'
  | 'swap-planned'
  | 'swap-dropped'
  | 'swap-failed'
  | 'published'
  | 'created'
  | 'copied'
  | 'put-away'
  | 'taken-back'
  | 'restored'
  | 'renamed'
  | 'site-added'
  | 'site-read'
  | 'width-changed'
  | 'look-changed'
  | 'page-added'
  | 'page-moved'
  | 'removed'
  | 'brought-back'
  | 'set-up'
  | 'signed-in'
  | 'sign-in-failed'
  | 'locked-out'
  | 'password-changed'

export class Activity extends Model<InferAttributes<Activity>, InferCreationAttributes<Activity>> {
  declare id: CreationOptional<string>
  declare at: CreationOptional<Date>
  declare userId: CreationOptional<string | null>
  declare verb: Verb
  declare installId: CreationOptional<string | null>
  declare widgetId: CreationOptional<string | null>
  declare siteId: CreationOptional<string | null>
  declare data: CreationOptional<Record<string, unknown>>
}

export function defineActivity(sequelize: Sequelize): void {
  Activity.init(
    {
      id: id(),
      at: time(),
      userId: maybeRef(),
      verb: text(),
      installId: maybeRef(),
      widgetId: maybeRef(),
      siteId: maybeRef(),
      data: json({}),
    },
    { sequelize, tableName: 'activity' },
  )
}
