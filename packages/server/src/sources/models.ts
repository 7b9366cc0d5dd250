import type { FeedFormat, Picture } from '@pebblestrand/core/items'
import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, integer, json, maybeJson, maybeText, maybeTime, ref, text, time } from '../platform/database/columns'

/** What went wrong at the last refresh, in words for the person; null while all is well. */
export interface SourceProblem {
  code: string
  message: string
  remedy: string
  at: string
}

export class Source extends Model<InferAttributes<Source>, InferCreationAttributes<Source>> {
  declare id: CreationOptional<string>
  declare url: string
  declare title: string
  declare link: CreationOptional<string | null>
  declare format: FeedFormat
  declare intervalMinutes: CreationOptional<number>
  declare etag: CreationOptional<string | null>
  declare lastModified: CreationOptional<string | null>
  declare contentHash: CreationOptional<string | null>
  declare fetchedAt: CreationOptional<Date | null>
  declare okAt: CreationOptional<Date | null>
  declare nextFetchAt: CreationOptional<Date>
  declare failures: CreationOptional<number>
  declare problem: CreationOptional<SourceProblem | null>
  declare createdAt: CreationOptional<Date>
}

export class ItemRow extends Model<InferAttributes<ItemRow>, InferCreationAttributes<ItemRow>> {
  declare id: CreationOptional<string>
  declare sourceId: string
  declare guid: string
  declare title: string
  declare text: string
  declare html: string
  declare author: string | null
  declare publishedAt: Date | null
  declare link: string | null
  declare picture: Picture | null
  declare labels: string[]
  declare position: number
  declare seenAt: CreationOptional<Date>
}

export function defineSources(sequelize: Sequelize): void {
  Source.init(
    {
      id: id(),
      url: text(),
      title: text(),
      link: maybeText(),
      format: text(),
      intervalMinutes: integer(30),
      etag: maybeText(),
      lastModified: maybeText(),
      contentHash: maybeText(),
      fetchedAt: maybeTime(),
      okAt: maybeTime(),
      nextFetchAt: time(),
      failures: integer(0),
      problem: maybeJson(),
      createdAt: time(),
    },
    { sequelize, tableName: 'sources' },
  )
  ItemRow.init(
    {
      id: id(),
      sourceId: ref(),
      guid: text(),
      title: text(),
      text: text(),
      html: text(),
      author: maybeText(),
      publishedAt: maybeTime(),
      link: maybeText(),
      picture: maybeJson(),
      labels: json([]),
      position: integer(),
      seenAt: time(),
    },
    { sequelize, tableName: 'items' },
  )
}
