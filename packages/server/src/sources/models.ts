import type { ItemBody } from '@pebblestrand/core/items'
import type { Cut, SourceFacts } from '@pebblestrand/core/sources'
import {
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

/** What went wrong at the last refresh, in words for the person; null while all is well. */
export interface SourceProblem {
  code: string
  message: string
  remedy: string
  at: string
}

export class Source extends Model<InferAttributes<Source>, InferCreationAttributes<Source>> {
  declare id: CreationOptional<string>
  /** Its sort: core/sources. */
  declare kind: CreationOptional<string>
  declare url: string
  declare title: string
  declare link: CreationOptional<string | null>
  declare format: string
  declare intervalMinutes: CreationOptional<number>
  declare etag: CreationOptional<string | null>
  declare lastModified: CreationOptional<string | null>
  declare contentHash: CreationOptional<string | null>
  declare fetchedAt: CreationOptional<Date | null>
  /** When the reading that was written down last began; one that began before it comes too late. */
  declare readingBeganAt: CreationOptional<Date | null>
  declare okAt: CreationOptional<Date | null>
  declare nextFetchAt: CreationOptional<Date>
  declare failures: CreationOptional<number>
  /** How many parts of its items were too long to be kept whole. */
  declare cut: CreationOptional<Cut>
  /** What it says beside its items. */
  declare facts: CreationOptional<Partial<SourceFacts>>
  declare problem: CreationOptional<SourceProblem | null>
  /** What its sort remembers from one reading to the next. */
  declare state: CreationOptional<Record<string, unknown> | null>
  /** A person has stopped it: what is there stays, nothing new is asked for. */
  declare paused: CreationOptional<boolean>
  /** By which it is read, where its service gives an owner more. */
  declare accountId: CreationOptional<string | null>
  /** Names with slashes between them; '' for none. */
  declare folder: CreationOptional<string>
  declare createdAt: CreationOptional<Date>
}

/** An owner's account at a service, and our leave to read by it. The tokens are secrets: no answer holds them. */
export class SourceAccount extends Model<InferAttributes<SourceAccount>, InferCreationAttributes<SourceAccount>> {
  declare id: CreationOptional<string>
  declare kind: string
  declare remoteId: string
  declare name: string
  declare accessToken: string
  declare refreshToken: string | null
  declare expiresAt: Date
  /** Until when somebody is at renewing its token. */
  declare claimedUntil: CreationOptional<Date | null>
  declare createdAt: CreationOptional<Date>
}

/** A question for leave that is under way: whose, for which source, and what proves that the answer belongs to it. */
export class SourceConsent extends Model<InferAttributes<SourceConsent>, InferCreationAttributes<SourceConsent>> {
  declare stateHash: string
  declare sourceId: string
  declare userId: string
  declare verifier: string
  declare expiresAt: Date
}

export class ItemRow extends Model<InferAttributes<ItemRow>, InferCreationAttributes<ItemRow>> {
  declare id: CreationOptional<string>
  declare sourceId: string
  declare key: string
  declare author: string | null
  declare publishedAt: Date | null
  declare link: string | null
  declare language: string | null
  declare labels: string[]
  declare body: ItemBody
  declare position: number
  declare seenAt: CreationOptional<Date>
}

export function defineSources(sequelize: Sequelize): void {
  Source.init(
    {
      id: id(),
      kind: { ...text(), defaultValue: 'feed' },
      url: text(),
      title: text(),
      link: maybeText(),
      format: text(),
      intervalMinutes: integer(30),
      etag: maybeText(),
      lastModified: maybeText(),
      contentHash: maybeText(),
      fetchedAt: maybeTime(),
      readingBeganAt: maybeTime(),
      okAt: maybeTime(),
      nextFetchAt: time(),
      failures: integer(0),
      cut: json({}),
      facts: json({}),
      problem: maybeJson(),
      state: maybeJson(),
      paused: yesNo(),
      accountId: maybeRef(),
      folder: { ...text(), defaultValue: '' },
      createdAt: time(),
    },
    { sequelize, tableName: 'sources' },
  )
  SourceAccount.init(
    {
      id: id(),
      kind: text(),
      remoteId: text(),
      name: text(),
      accessToken: text(),
      refreshToken: maybeText(),
      expiresAt: time(),
      claimedUntil: maybeTime(),
      createdAt: time(),
    },
    { sequelize, tableName: 'source_accounts' },
  )
  SourceConsent.init(
    { stateHash: { ...text(), primaryKey: true }, sourceId: ref(), userId: ref(), verifier: text(), expiresAt: time() },
    { sequelize, tableName: 'source_consents' },
  )
  ItemRow.init(
    {
      id: id(),
      sourceId: ref(),
      key: text(),
      author: maybeText(),
      publishedAt: maybeTime(),
      link: maybeText(),
      language: maybeText(),
      labels: json([]),
      body: json(),
      position: integer(),
      seenAt: time(),
    },
    { sequelize, tableName: 'items' },
  )
}
