import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, ref, text, time } from '../platform/database/columns'

export type Role = 'owner' | 'member'

export class User extends Model<InferAttributes<User>, InferCreationAttributes<User>> {
  declare id: CreationOptional<string>
  declare email: string
  declare name: string
  declare passwordHash: string
  declare role: Role
  declare createdAt: CreationOptional<Date>
}

export class Session extends Model<InferAttributes<Session>, InferCreationAttributes<Session>> {
  declare tokenHash: string
  declare userId: string
  declare csrf: string
  declare createdAt: CreationOptional<Date>
  declare expiresAt: Date
}

/** Facts about this installation: the agency's name, the set-up key. */
export class Instance extends Model<InferAttributes<Instance>, InferCreationAttributes<Instance>> {
  declare key: string
  declare value: string
}

export function defineAccounts(sequelize: Sequelize): void {
  User.init(
    { id: id(), email: text(), name: text(), passwordHash: text(), role: text(), createdAt: time() },
    { sequelize, tableName: 'users' },
  )
  Session.init(
    { tokenHash: { ...text(), primaryKey: true }, userId: ref(), csrf: text(), createdAt: time(), expiresAt: time() },
    { sequelize, tableName: 'sessions' },
  )
  Instance.init({ key: { ...text(), primaryKey: true }, value: text() }, { sequelize, tableName: 'instance' })
  Session.belongsTo(User, { foreignKey: 'userId' })
}
