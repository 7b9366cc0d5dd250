import type { PlatformProfile } from '@pebblestrand/core/platforms'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, json, maybeRef, text, time } from '../platform/database/columns'

/** A platform profile of the agency's own: copied from one that ships, or brought in. */
export class OwnProfile extends Model<InferAttributes<OwnProfile>, InferCreationAttributes<OwnProfile>> {
  declare id: CreationOptional<string>
  /** What sites name it by. */
  declare key: string
  /** Id of a profile that ships: what its sites go back to when it is dropped. */
  declare copiedFrom: string
  declare profile: PlatformProfile
  /** The only site that may be built with it; null for all. */
  declare siteId: CreationOptional<string | null>
  declare madeBy: CreationOptional<string | null>
  declare madeAt: CreationOptional<Date>
}

export function definePlatforms(sequelize: Sequelize): void {
  OwnProfile.init(
    {
      id: id(),
      key: text(),
      copiedFrom: text(),
      profile: json(),
      siteId: maybeRef(),
      madeBy: maybeRef(),
      madeAt: time(),
    },
    { sequelize, tableName: 'own_profiles' },
  )
}
