import type { DeliverySettings } from '@pebblestrand/core/forms'
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import type { DeliveryState, DeliveryWhat, FormTestStep, HeldFor, LeadState } from '@pebblestrand/contract'
import { id, integer, json, maybeRef, maybeText, maybeTime, ref, text, time, yesNo } from '../platform/database/columns'

/** What becomes of what a widget's form is sent. */
export class Form extends Model<InferAttributes<Form>, InferCreationAttributes<Form>> {
  declare widgetId: string
  declare delivery: Partial<DeliverySettings>
  /** Sealed. */
  declare webhookSecret: CreationOptional<string>
}

/** One form that was sent. What was written is in `content`, sealed (lead-content.ts). */
export class Lead extends Model<InferAttributes<Lead>, InferCreationAttributes<Lead>> {
  declare id: CreationOptional<string>
  /** Of the install; '' for a test of a draft. */
  declare publicId: string
  declare key: string
  declare widgetId: string
  declare siteId: string | null
  declare pagePath: CreationOptional<string>
  declare release: number
  declare state: CreationOptional<LeadState>
  declare heldFor: CreationOptional<HeldFor | null>
  declare isTest: CreationOptional<boolean>
  declare content: string
  /** Of the addresses in it, so that they are found without being read. */
  declare mailHashes: CreationOptional<string[]>
  declare at: CreationOptional<Date>
  declare deliveredAt: CreationOptional<Date | null>
  /** Until when somebody is at delivering it. */
  declare claimedUntil: CreationOptional<Date | null>
  /** When its reply was counted as one that may go out: once, however often it is tried. */
  declare admittedAt: CreationOptional<Date | null>
}

/** What is done with a lead beyond keeping it, and how far that is. */
export class LeadDelivery extends Model<InferAttributes<LeadDelivery>, InferCreationAttributes<LeadDelivery>> {
  declare leadId: string
  declare what: DeliveryWhat
  declare state: DeliveryState
  declare tries: CreationOptional<number>
  declare problem: CreationOptional<string | null>
  declare nextAt: CreationOptional<Date | null>
  declare at: CreationOptional<Date>
}

/** A submission that is made to see whether one arrives. */
export class FormTest extends Model<InferAttributes<FormTest>, InferCreationAttributes<FormTest>> {
  declare id: CreationOptional<string>
  declare widgetId: string
  declare publicId: CreationOptional<string>
  /** Where its mails go. */
  declare toMail: CreationOptional<string>
  declare askedBy: CreationOptional<string | null>
  declare leadId: CreationOptional<string | null>
  declare steps: CreationOptional<FormTestStep[]>
  declare state: CreationOptional<'running' | 'well' | 'stopped'>
  declare beganAt: CreationOptional<Date>
  declare endedAt: CreationOptional<Date | null>
}

/** That what was held of a person was deleted: by a hash of their address, and how much it was. */
export class Erasure extends Model<InferAttributes<Erasure>, InferCreationAttributes<Erasure>> {
  declare id: CreationOptional<string>
  declare mailHash: string
  declare counts: Record<string, number>
  declare erasedBy: CreationOptional<string | null>
  declare at: CreationOptional<Date>
}

export function defineForms(sequelize: Sequelize): void {
  Form.init(
    { widgetId: { ...ref(), primaryKey: true }, delivery: json({}), webhookSecret: { ...text(), defaultValue: '' } },
    { sequelize, tableName: 'forms' },
  )
  Lead.init(
    {
      id: id(),
      publicId: text(),
      key: text(),
      widgetId: ref(),
      siteId: maybeRef(),
      pagePath: { ...text(), defaultValue: '' },
      release: integer(),
      state: { ...text(), defaultValue: 'new' },
      heldFor: maybeText(),
      isTest: yesNo(),
      content: text(),
      mailHashes: json([]),
      at: time(),
      deliveredAt: maybeTime(),
      claimedUntil: maybeTime(),
      admittedAt: maybeTime(),
    },
    { sequelize, tableName: 'leads' },
  )
  LeadDelivery.init(
    {
      leadId: { ...ref(), primaryKey: true },
      what: { ...text(), primaryKey: true },
      state: text(),
      tries: integer(0),
      problem: maybeText(),
      nextAt: { type: DataTypes.DATE, allowNull: true },
      at: time(),
    },
    { sequelize, tableName: 'lead_deliveries' },
  )
  FormTest.init(
    {
      id: id(),
      widgetId: ref(),
      publicId: { ...text(), defaultValue: '' },
      toMail: { ...text(), defaultValue: '' },
      askedBy: maybeRef(),
      leadId: maybeRef(),
      steps: json([]),
      state: { ...text(), defaultValue: 'running' },
      beganAt: time(),
      endedAt: maybeTime(),
    },
    { sequelize, tableName: 'form_tests' },
  )
  Erasure.init(
    { id: id(), mailHash: text(), counts: json(), erasedBy: maybeRef(), at: time() },
    { sequelize, tableName: 'erasures' },
  )
}
