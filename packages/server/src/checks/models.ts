import type { Facts, InstallStatus, Proof } from '@pebblestrand/core/verify'
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import {
  id,
  integer,
  json,
  maybeJson,
  maybeRef,
  maybeText,
  maybeTime,
  ref,
  text,
  time,
} from '../platform/database/columns'

export type CheckCause = 'plan' | 'person' | 'round' | 'retire'
export type CheckState = 'queued' | 'served' | 'fresh' | 'judging' | 'done' | 'failed' | 'stopped'

/** States of a check that has begun and not ended, and of one that has not ended. */
export const UNDER_WAY = ['served', 'fresh', 'judging'] as const satisfies CheckState[]
export const OPEN = ['queued', ...UNDER_WAY] as const

export class Check extends Model<InferAttributes<Check>, InferCreationAttributes<Check>> {
  declare id: CreationOptional<string>
  declare installId: string
  declare roundId: CreationOptional<string | null>
  declare cause: CheckCause
  declare state: CreationOptional<CheckState>
  declare askedBy: CreationOptional<string | null>
  declare askedAt: CreationOptional<Date>
  declare startedAt: CreationOptional<Date | null>
  declare finishedAt: CreationOptional<Date | null>
  declare statusAfter: CreationOptional<InstallStatus | null>
  declare facts: CreationOptional<Facts | null>
  declare problem: CreationOptional<string | null>
}

export class FindingRow extends Model<InferAttributes<FindingRow>, InferCreationAttributes<FindingRow>> {
  declare id: CreationOptional<string>
  declare checkId: string
  declare code: string
  declare hands: string
  declare position: number
  declare title: string
  declare says: string
  declare remedy: string
  declare data: Record<string, unknown>
  declare proof: Proof
}

export class Answer extends Model<InferAttributes<Answer>, InferCreationAttributes<Answer>> {
  declare checkId: string
  declare which: 'served' | 'fresh'
  declare url: string
  declare finalUrl: string
  declare status: number
  declare headers: Record<string, string>
  declare html: string
  declare ms: number
  declare at: Date
  declare error: { code: string; message: string } | null
}

/** A run over many installs. */
export class Round extends Model<InferAttributes<Round>, InferCreationAttributes<Round>> {
  declare id: CreationOptional<string>
  declare state: 'running' | 'done' | 'stopped'
  declare total: number
  declare startedBy: CreationOptional<string | null>
  declare startedAt: CreationOptional<Date>
  declare finishedAt: CreationOptional<Date | null>
}

export function defineChecks(sequelize: Sequelize): void {
  Check.init(
    {
      id: id(),
      installId: ref(),
      roundId: maybeRef(),
      cause: text(),
      state: { ...text(), defaultValue: 'queued' },
      askedBy: maybeRef(),
      askedAt: time(),
      startedAt: maybeTime(),
      finishedAt: maybeTime(),
      statusAfter: maybeText(),
      facts: maybeJson(),
      problem: maybeText(),
    },
    { sequelize, tableName: 'checks' },
  )
  FindingRow.init(
    {
      id: id(),
      checkId: ref(),
      code: text(),
      hands: text(),
      position: integer(),
      title: text(),
      says: text(),
      remedy: text(),
      data: json(),
      proof: json(),
    },
    { sequelize, tableName: 'findings' },
  )
  Answer.init(
    {
      checkId: { ...ref(), primaryKey: true },
      which: { type: DataTypes.TEXT, allowNull: false, primaryKey: true },
      url: text(),
      finalUrl: text(),
      status: integer(),
      headers: json(),
      html: text(),
      ms: integer(),
      at: time(),
      error: maybeJson(),
    },
    { sequelize, tableName: 'answers' },
  )
  Round.init(
    { id: id(), state: text(), total: integer(), startedBy: maybeRef(), startedAt: time(), finishedAt: maybeTime() },
    { sequelize, tableName: 'rounds' },
  )
}
