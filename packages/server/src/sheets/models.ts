import type { MethodId } from '@pebblestrand/core/methods'
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, integer, maybeRef, maybeText, maybeTime, ref, text, time } from '../platform/database/columns'

export type SheetPurpose = 'paste' | 'remove' | 'kept'

/** A private link for somebody without an account: a sheet for whoever pastes or takes out, or a client's own page. */
export class Sheet extends Model<InferAttributes<Sheet>, InferCreationAttributes<Sheet>> {
  declare id: CreationOptional<string>
  /** What its address cannot be guessed by. */
  declare token: string
  declare purpose: SheetPurpose
  declare siteId: string
  declare contactId: CreationOptional<string | null>
  declare toName: CreationOptional<string>
  declare toMail: CreationOptional<string>
  declare language: string
  declare message: CreationOptional<string>
  declare endsAt: Date
  declare withdrawnAt: CreationOptional<Date | null>
  /** Working days between two mails, and how many reminders at most; 0 for none. */
  declare remindAfter: CreationOptional<number>
  declare remindMost: CreationOptional<number>
  declare reminded: CreationOptional<number>
  declare mailedAt: CreationOptional<Date | null>
  declare madeBy: CreationOptional<string | null>
  declare madeAt: CreationOptional<Date>
}

/** What one sheet holds: an install, with the text that was handed over. */
export class SheetInstall extends Model<InferAttributes<SheetInstall>, InferCreationAttributes<SheetInstall>> {
  declare sheetId: string
  declare installId: string
  declare method: MethodId
  declare snippet: string
  /** When whoever has the sheet said that it is done. */
  declare askedAt: CreationOptional<Date | null>
  /** The check that looks whether it is; another one may have begun before. */
  declare checkId: CreationOptional<string | null>
  declare trouble: CreationOptional<string | null>
  declare troubleAt: CreationOptional<Date | null>
}

/** How often a sheet was opened, by day in the site's time zone. */
export class SheetVisits extends Model<InferAttributes<SheetVisits>, InferCreationAttributes<SheetVisits>> {
  declare sheetId: string
  declare day: string
  declare visits: number
}

export function defineSheets(sequelize: Sequelize): void {
  Sheet.init(
    {
      id: id(),
      token: text(),
      purpose: text(),
      siteId: ref(),
      contactId: maybeRef(),
      toName: { ...text(), defaultValue: '' },
      toMail: { ...text(), defaultValue: '' },
      language: text(),
      message: { ...text(), defaultValue: '' },
      endsAt: time(),
      withdrawnAt: maybeTime(),
      remindAfter: integer(0),
      remindMost: integer(0),
      reminded: integer(0),
      mailedAt: maybeTime(),
      madeBy: maybeRef(),
      madeAt: time(),
    },
    { sequelize, tableName: 'sheets' },
  )
  SheetInstall.init(
    {
      sheetId: { ...ref(), primaryKey: true },
      installId: { ...ref(), primaryKey: true },
      method: text(),
      snippet: text(),
      askedAt: maybeTime(),
      checkId: maybeRef(),
      trouble: maybeText(),
      troubleAt: maybeTime(),
    },
    { sequelize, tableName: 'sheet_installs' },
  )
  SheetVisits.init(
    {
      sheetId: { ...ref(), primaryKey: true },
      day: { type: DataTypes.DATEONLY, allowNull: false, primaryKey: true },
      visits: integer(0),
    },
    { sequelize, tableName: 'sheet_visits' },
  )
}
