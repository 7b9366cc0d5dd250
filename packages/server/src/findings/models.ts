import type { CheckState } from '@pebblestrand/contract'
import type { Facts, Note, Proof, Sight, Step } from '@pebblestrand/core/verify'
import type { FindingSubject, InstallStatus, LookId, NextAction } from '@pebblestrand/core/verify/words'
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
  yesNo,
} from '../platform/database/columns'

/** Why it is made. `sight`: a browser is to look, and nobody waits for it. */
export type CheckCause = 'plan' | 'person' | 'round' | 'retire' | 'sight'
/** Whether a person waits for it, and is to be given all that can be seen. */
export const isPersons = (cause: CheckCause): boolean => cause === 'person' || cause === 'retire'
export type { CheckState }

export type CheckFacts = Omit<Facts, 'fingerprint'> & { notes?: Note[]; reasoning?: Step[] }

/** States of a check that is through, however it ended. */
export const ENDED = ['done', 'failed', 'stopped'] as const satisfies CheckState[]

export class Check extends Model<InferAttributes<Check>, InferCreationAttributes<Check>> {
  declare id: CreationOptional<string>
  declare installId: string
  /** The looks it was judged by; they are kept for a while only. */
  declare readingId: CreationOptional<string | null>
  declare roundId: CreationOptional<string | null>
  declare cause: CheckCause
  /** Of whoever took it last. */
  declare attempt: CreationOptional<string | null>
  declare state: CreationOptional<CheckState>
  declare askedBy: CreationOptional<string | null>
  declare askedAt: CreationOptional<Date>
  declare startedAt: CreationOptional<Date | null>
  declare finishedAt: CreationOptional<Date | null>
  declare statusAfter: CreationOptional<InstallStatus | null>
  /** Without the page's fingerprint: what the next check compares with is the install's baseline. */
  declare facts: CreationOptional<CheckFacts | null>
  declare problem: CreationOptional<string | null>
}

export class FindingRow extends Model<InferAttributes<FindingRow>, InferCreationAttributes<FindingRow>> {
  declare id: CreationOptional<string>
  declare checkId: string
  declare code: string
  declare subject: FindingSubject
  declare weight: number
  declare nextAction: NextAction
  declare position: number
  declare title: string
  declare says: string
  declare remedy: string
  declare data: Record<string, unknown>
  declare proof: Proof
}

/** A finding that a person has put away, and why; it counts again from a day on. */
export class Mute extends Model<InferAttributes<Mute>, InferCreationAttributes<Mute>> {
  declare id: CreationOptional<string>
  declare installId: string
  declare code: string
  declare reason: string
  declare until: Date
  declare mutedBy: CreationOptional<string | null>
  declare mutedAt: CreationOptional<Date>
}

/** One gathering of looks at a page. */
export class Reading extends Model<InferAttributes<Reading>, InferCreationAttributes<Reading>> {
  declare id: CreationOptional<string>
  declare pageId: string
  declare beganAt: CreationOptional<Date>
  /** It is the evidence of a change: of a status, or of a fault. */
  declare isEvidence: CreationOptional<boolean>
}

/** What one way of looking at a page got, whole. */
export class Look extends Model<InferAttributes<Look>, InferCreationAttributes<Look>> {
  declare readingId: string
  declare how: LookId
  declare url: string
  declare finalUrl: string
  declare status: number
  declare headers: Record<string, string>
  declare html: string
  declare ms: number
  declare at: Date
  declare error: { code: string; message: string } | null
  /** What a browser measured, where one looked. */
  declare sight: CreationOptional<Sight | null>
  /** The page as it drew it, a JPEG. */
  declare picture: CreationOptional<Buffer | null>
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

export function defineFindings(sequelize: Sequelize): void {
  Check.init(
    {
      id: id(),
      installId: ref(),
      readingId: maybeRef(),
      roundId: maybeRef(),
      attempt: maybeRef(),
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
      subject: text(),
      weight: integer(),
      nextAction: text(),
      position: integer(),
      title: text(),
      says: text(),
      remedy: text(),
      data: json(),
      proof: json(),
    },
    { sequelize, tableName: 'findings' },
  )
  Mute.init(
    {
      id: id(),
      installId: ref(),
      code: text(),
      reason: text(),
      until: { type: DataTypes.DATE, allowNull: false },
      mutedBy: maybeRef(),
      mutedAt: time(),
    },
    { sequelize, tableName: 'mutes' },
  )
  Reading.init({ id: id(), pageId: ref(), beganAt: time(), isEvidence: yesNo() }, { sequelize, tableName: 'readings' })
  Look.init(
    {
      readingId: { ...ref(), primaryKey: true },
      how: { type: DataTypes.TEXT, allowNull: false, primaryKey: true },
      url: text(),
      finalUrl: text(),
      status: integer(),
      headers: json(),
      html: text(),
      ms: integer(),
      at: time(),
      error: maybeJson(),
      sight: maybeJson(),
      picture: { type: DataTypes.BLOB, allowNull: true },
    },
    { sequelize, tableName: 'looks' },
  )
  Round.init(
    { id: id(), state: text(), total: integer(), startedBy: maybeRef(), startedAt: time(), finishedAt: maybeTime() },
    { sequelize, tableName: 'rounds' },
  )
}
