import type { Role } from '@pebblestrand/contract'
import {
  col,
  fn,
  Model,
  where,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type NonAttribute,
  type Sequelize,
} from 'sequelize'
import { id, ref, text, time } from '../platform/database/columns'

export type { Role }

export class User extends Model<InferAttributes<User>, InferCreationAttributes<User>> {
  declare id: CreationOptional<string>
  declare email: string
  declare name: string
  declare passwordHash: string
  declare role: Role
  declare createdAt: CreationOptional<Date>

  static withEmail = (email: string) => User.findOne({ where: where(fn('lower', col('email')), email.toLowerCase()) })
}

export class Session extends Model<InferAttributes<Session>, InferCreationAttributes<Session>> {
  declare tokenHash: string
  declare userId: string
  declare csrf: string
  declare createdAt: CreationOptional<Date>
  /** When it is not used any more. */
  declare expiresAt: Date
  /** In any case. */
  declare endsAt: CreationOptional<Date>
  declare id: CreationOptional<string>
  declare seenAt: CreationOptional<Date>
  declare browser: CreationOptional<string>
  declare User?: NonAttribute<User>
}

/** A browser that an account was signed in with before. */
export class Device extends Model<InferAttributes<Device>, InferCreationAttributes<Device>> {
  declare tokenHash: string
  declare userId: string
  declare usedAt: CreationOptional<Date>
}

/** Facts about this installation: the agency's name, the set-up key. */
export class Instance extends Model<InferAttributes<Instance>, InferCreationAttributes<Instance>> {
  declare key: string
  declare value: string
}

/** Models that are joined say their names: a bundle may call a class otherwise. */
export function defineAccounts(sequelize: Sequelize): void {
  User.init(
    { id: id(), email: text(), name: text(), passwordHash: text(), role: text(), createdAt: time() },
    { sequelize, modelName: 'User', tableName: 'users' },
  )
  Session.init(
    {
      tokenHash: { ...text(), primaryKey: true },
      id: { ...id(), primaryKey: false },
      userId: ref(),
      csrf: text(),
      browser: { ...text(), defaultValue: '' },
      createdAt: time(),
      seenAt: time(),
      expiresAt: time(),
      endsAt: time(),
    },
    { sequelize, tableName: 'sessions' },
  )
  Device.init(
    { tokenHash: { ...text(), primaryKey: true }, userId: ref(), usedAt: time() },
    { sequelize, tableName: 'devices' },
  )
  Instance.init({ key: { ...text(), primaryKey: true }, value: text() }, { sequelize, tableName: 'instance' })
  Session.belongsTo(User, { foreignKey: 'userId' })
}
