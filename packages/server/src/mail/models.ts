import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, integer, json, maybeRef, maybeText, maybeTime, text, time } from '../platform/database/columns'

export const mailStates = ['queued', 'sent', 'bounced', 'failed'] as const
export type MailState = (typeof mailStates)[number]

/** A mail that goes out, and what became of it. */
export class Mail extends Model<InferAttributes<Mail>, InferCreationAttributes<Mail>> {
  declare id: CreationOptional<string>
  declare sheetId: CreationOptional<string | null>
  declare kind: string
  /** Leads that it tells of. Where there are any, whom it goes to and what it says are sealed, and gone once it is sent. */
  declare leadIds: CreationOptional<string[]>
  /** As who it goes out; '' for the agency. */
  declare fromName: CreationOptional<string>
  declare toName: CreationOptional<string>
  declare toMail: string
  declare replyTo: CreationOptional<string | null>
  declare subject: string
  declare text: string
  declare html: string
  declare state: CreationOptional<MailState>
  declare tries: CreationOptional<number>
  declare problem: CreationOptional<string | null>
  /** Counts claims: what became of a mail is written only by whoever has the newest. */
  declare claim: CreationOptional<number>
  declare claimedUntil: CreationOptional<Date | null>
  /** When it is tried, or tried again. */
  declare nextAt: CreationOptional<Date>
  declare queuedAt: CreationOptional<Date>
  declare sentAt: CreationOptional<Date | null>
}

export function defineMail(sequelize: Sequelize): void {
  Mail.init(
    {
      id: id(),
      sheetId: maybeRef(),
      kind: text(),
      leadIds: json([]),
      fromName: { ...text(), defaultValue: '' },
      toName: { ...text(), defaultValue: '' },
      toMail: text(),
      replyTo: maybeText(),
      subject: text(),
      text: text(),
      html: text(),
      state: { ...text(), defaultValue: 'queued' },
      tries: integer(0),
      problem: maybeText(),
      claim: integer(0),
      claimedUntil: maybeTime(),
      nextAt: time(),
      queuedAt: time(),
      sentAt: maybeTime(),
    },
    { sequelize, tableName: 'mails' },
  )
}
