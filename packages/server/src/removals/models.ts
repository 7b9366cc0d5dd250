import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, json, maybeRef, ref, text, time } from '../platform/database/columns'
import type { Removable } from '@pebblestrand/contract'

/** How many of each went with it. */
export type Counts = Partial<Record<'pages' | 'placements' | 'releases' | 'installs', number>>

/** Something that was taken out; its rows lie in `removed_rows`, which only SQL touches. */
export class Removal extends Model<InferAttributes<Removal>, InferCreationAttributes<Removal>> {
  declare id: CreationOptional<string>
  declare what: Removable
  declare subjectId: string
  /** The site it was, or was part of; none for a widget. */
  declare siteId: string | null
  declare name: string
  declare place: string
  declare counts: Counts
  declare removedBy: CreationOptional<string | null>
  declare removedAt: CreationOptional<Date>
}

export function defineRemovals(sequelize: Sequelize): void {
  Removal.init(
    {
      id: id(),
      what: text(),
      subjectId: ref(),
      siteId: maybeRef(),
      name: text(),
      place: text(),
      counts: json(),
      removedBy: maybeRef(),
      removedAt: time(),
    },
    { sequelize, tableName: 'removals' },
  )
}
