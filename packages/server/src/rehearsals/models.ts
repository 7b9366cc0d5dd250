import type { Expected, MadeUpVisit } from '@pebblestrand/core/presence'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, json, maybeRef, ref, text, time } from '../platform/database/columns'

/** A made-up visit that is kept with a site, and what is expected of it. */
export class VisitExpectation extends Model<
  InferAttributes<VisitExpectation>,
  InferCreationAttributes<VisitExpectation>
> {
  declare id: CreationOptional<string>
  declare siteId: string
  declare name: string
  declare visit: MadeUpVisit
  declare expected: Expected
  declare madeBy: CreationOptional<string | null>
  declare madeAt: CreationOptional<Date>
}

export function defineRehearsals(sequelize: Sequelize): void {
  VisitExpectation.init(
    { id: id(), siteId: ref(), name: text(), visit: json(), expected: json(), madeBy: maybeRef(), madeAt: time() },
    { sequelize, tableName: 'visit_expectations' },
  )
}
