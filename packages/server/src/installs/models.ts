import type { SnippetOptions } from '@pebblestrand/contract'
import type { MethodId } from '@pebblestrand/core/methods'
import type { InstallStatus } from '@pebblestrand/core/verify/words'
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type NonAttribute,
  type Sequelize,
} from 'sequelize'
import { Page, Placement } from '../sites/models'
import { Widget } from '../widgets/models'
import { id, json, maybeJson, maybeRef, maybeTime, ref, text, time, yesNo } from '../platform/database/columns'

/** The page as it was before anything of the install was on it. */
export interface Baseline {
  fingerprint: string
  lastModified: string | null
}

/** One widget on one page or pattern of pages, in a placement unless it stands over the page, by one method. */
export class Install extends Model<InferAttributes<Install>, InferCreationAttributes<Install>> {
  declare id: CreationOptional<string>
  declare publicId: string
  declare widgetId: string
  declare pageId: string
  /** Null for one that stands over the page. */
  declare placementId: CreationOptional<string | null>
  declare method: MethodId
  declare status: CreationOptional<InstallStatus>
  declare retiring: CreationOptional<boolean>
  declare stepsDone: CreationOptional<string[]>
  declare baseline: CreationOptional<Baseline | null>
  declare plannedBy: CreationOptional<string | null>
  declare plannedAt: CreationOptional<Date>
  declare pastedAt: CreationOptional<Date | null>
  declare confirmedAt: CreationOptional<Date | null>
  declare retiredAt: CreationOptional<Date | null>
  declare checkedAt: CreationOptional<Date | null>
  declare lastCheckId: CreationOptional<string | null>
  /** The release it stays at; null where it follows the newest. */
  declare heldRelease: CreationOptional<number | null>
  /** The widget that stood here before the last swap. */
  declare swappedFrom: CreationOptional<string | null>
  declare snippetOptions: CreationOptional<SnippetOptions>
  declare Page?: NonAttribute<Page>
  declare Placement?: NonAttribute<Placement | null>
  /** `swappedFrom`, while it is there. */
  declare before?: NonAttribute<Widget | null>
}

export function defineInstalls(sequelize: Sequelize): void {
  Install.init(
    {
      id: id(),
      publicId: text(),
      widgetId: ref(),
      pageId: ref(),
      placementId: maybeRef(),
      method: text(),
      status: { ...text(), defaultValue: 'planned' },
      retiring: yesNo(),
      stepsDone: json([]),
      baseline: maybeJson(),
      plannedBy: maybeRef(),
      plannedAt: time(),
      pastedAt: maybeTime(),
      confirmedAt: maybeTime(),
      retiredAt: maybeTime(),
      checkedAt: maybeTime(),
      lastCheckId: maybeRef(),
      heldRelease: { type: DataTypes.INTEGER, allowNull: true },
      swappedFrom: maybeRef(),
      snippetOptions: json({}),
    },
    { sequelize, tableName: 'installs' },
  )
  Install.belongsTo(Page, { foreignKey: 'pageId' })
  Install.belongsTo(Placement, { foreignKey: 'placementId' })
  Install.belongsTo(Widget, { foreignKey: 'swappedFrom', as: 'before' })
}
