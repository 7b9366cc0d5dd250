import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, integer, json, maybeRef, maybeText, ref, text, time } from '../platform/database/columns'

export type Settings = Record<string, unknown>

export class Widget extends Model<InferAttributes<Widget>, InferCreationAttributes<Widget>> {
  declare id: CreationOptional<string>
  declare kind: string
  declare name: string
  declare draft: Settings
  /** Grows with every saved change; who saves names the one it began from. */
  declare draftVersion: CreationOptional<number>
  declare draftSavedAt: CreationOptional<Date>
  declare starter: CreationOptional<string | null>
  declare createdBy: CreationOptional<string | null>
  declare createdAt: CreationOptional<Date>
}

/** One published snapshot. Never changed. */
export class Release extends Model<InferAttributes<Release>, InferCreationAttributes<Release>> {
  declare id: CreationOptional<string>
  declare widgetId: string
  declare number: number
  declare settings: Settings
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
      draftVersion: integer(1),
      draftSavedAt: time(),
      starter: maybeText(),
      createdBy: maybeRef(),
      createdAt: time(),
    },
    { sequelize, tableName: 'widgets' },
  )
  Release.init(
    { id: id(), widgetId: ref(), number: integer(), settings: json(), publishedBy: maybeRef(), publishedAt: time() },
    { sequelize, tableName: 'releases' },
  )
  WidgetSource.init(
    { widgetId: { ...ref(), primaryKey: true }, sourceId: { ...ref(), primaryKey: true } },
    { sequelize, tableName: 'widget_sources' },
  )
}
