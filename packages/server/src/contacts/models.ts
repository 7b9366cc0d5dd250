import type { ContactRole } from '@pebblestrand/contract'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, json, maybeText, ref, text, time } from '../platform/database/columns'

/** Somebody at a client. */
export class Contact extends Model<InferAttributes<Contact>, InferCreationAttributes<Contact>> {
  declare id: CreationOptional<string>
  declare clientId: string
  declare name: string
  declare email: CreationOptional<string>
  declare roles: CreationOptional<ContactRole[]>
  /** BCP 47; null: that of the site. */
  declare language: CreationOptional<string | null>
  /** None: all of the client's. */
  declare siteIds: CreationOptional<string[]>
  declare addedAt: CreationOptional<Date>
}

export function defineContacts(sequelize: Sequelize): void {
  Contact.init(
    {
      id: id(),
      clientId: ref(),
      name: text(),
      email: { ...text(), defaultValue: '' },
      roles: json([]),
      language: maybeText(),
      siteIds: json([]),
      addedAt: time(),
    },
    { sequelize, tableName: 'contacts' },
  )
}
