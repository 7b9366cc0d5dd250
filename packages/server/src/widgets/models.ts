import type { Settings, Unfinished } from '@pebblestrand/core/kinds'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, integer, json, maybeRef, maybeText, maybeTime, ref, text, time } from '../platform/database/columns'

export type { Settings }

export class Widget extends Model<InferAttributes<Widget>, InferCreationAttributes<Widget>> {
  declare id: CreationOptional<string>
  declare kind: string
  declare name: string
  declare draft: Settings
  /** What was typed and the kind cannot take yet, by setting. */
  declare draftUnfinished: CreationOptional<Unfinished>
  /** The version of the kind in which the draft was stored. */
  declare kindVersion: CreationOptional<number>
  /** Grows with every saved change; who saves names the one it began from. */
  declare draftVersion: CreationOptional<number>
  declare draftSavedAt: CreationOptional<Date>
  declare starter: CreationOptional<string | null>
  /** Since when nothing is left of what its release shows, while visitors still see the last that it had. */
  declare emptiedAt: CreationOptional<Date | null>
  /** Since when it is put away: out of the lists, still shown where it stands. */
  declare putAwayAt: CreationOptional<Date | null>
  declare createdBy: CreationOptional<string | null>
  declare createdAt: CreationOptional<Date>
}

/** One published snapshot. Never changed. */
export class Release extends Model<InferAttributes<Release>, InferCreationAttributes<Release>> {
  declare id: CreationOptional<string>
  declare widgetId: string
  declare number: number
  /** What the widget was called then; null where it was not noted yet. */
  declare name: string | null
  declare settings: Settings
  /** The version of the kind in which they were stored. */
  declare kindVersion: CreationOptional<number>
  /** What whoever published it says of it; '' for nothing. */
  declare note: CreationOptional<string>
  declare publishedBy: CreationOptional<string | null>
  declare publishedAt: CreationOptional<Date>
}

export class WidgetSource extends Model<InferAttributes<WidgetSource>, InferCreationAttributes<WidgetSource>> {
  declare widgetId: string
  declare sourceId: string
}

export function defineWidgets(sequelize: Sequelize): void {
  Widget.init(
    {
      id: id(),
      kind: text(),
      name: text(),
      draft: json(),
      draftUnfinished: json({}),
      kindVersion: integer(1),
      draftVersion: integer(1),
      draftSavedAt: time(),
      starter: maybeText(),
      emptiedAt: maybeTime(),
      putAwayAt: maybeTime(),
      createdBy: maybeRef(),
      createdAt: time(),
    },
    { sequelize, modelName: 'Widget', tableName: 'widgets' },
  )
  Release.init(
    {
      id: id(),
      widgetId: ref(),
      number: integer(),
      name: maybeText(),
      settings: json(),
      kindVersion: integer(1),
      note: { ...text(), defaultValue: '' },
      publishedBy: maybeRef(),
      publishedAt: time(),
    },
    { sequelize, tableName: 'releases' },
  )
  WidgetSource.init(
    { widgetId: { ...ref(), primaryKey: true }, sourceId: { ...ref(), primaryKey: true } },
    { sequelize, tableName: 'widget_sources' },
  )
}
