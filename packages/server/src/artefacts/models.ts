import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { bytes, json, maybeRef, text, time } from '../platform/database/columns'

/** Forms an install serves beside the core's `formIds`: payloads as scripts of version 1 read them, kept from before. */
export const OLD_PAYLOAD = 'payload-1'
/** The form in which a widget is drawn in lists; its public id is the widget's own id. */
export const THUMBNAIL = 'thumbnail'

/** What is known of an artefact beside its bytes. */
export interface ArtefactFacts {
  /** The widget's name as it was published, and px of its placement: what editors are told that expand its address. */
  title?: string
  width?: number
  /** Px that it takes in its placement. */
  height?: number
  /** The same on narrower windows, where its placement is known there. */
  narrower?: { tablet?: number; phone?: number }
  release?: number
  /** Which widget it is of: an install's can be exchanged. */
  widget?: string
  /** Modules that a visitor's browser loads for it. */
  behaviours?: readonly string[]
  /** Origins of what plays in frames when a visitor asks for it. */
  players?: readonly string[]
  /** Of the pictures of it: px at their own size, and what they say. */
  still?: { width: number; height: number; says: string }
  /** Nothing was shown. */
  empty?: boolean
  /** Of a thumbnail: whether it shows the kind's example. */
  example?: boolean
  /** Of a thumbnail: how many items are shown, and the height at some usual widths. */
  shown?: number
  heights?: { width: number; height: number }[]
}

/** Bytes, computed beforehand and served as they are. */
export class Artefact extends Model<InferAttributes<Artefact>, InferCreationAttributes<Artefact>> {
  declare publicId: string
  declare form: string
  declare installId: CreationOptional<string | null>
  declare widgetId: CreationOptional<string | null>
  declare contentType: string
  declare bytes: Buffer
  declare etag: string
  declare facts: ArtefactFacts
  declare computedAt: CreationOptional<Date>
  /** Number of the rendering that wrote it (rendering-order.ts), on one form of each. */
  declare rendering: CreationOptional<string>
}

/** A public id whose install was removed. */
export class FormerId extends Model<InferAttributes<FormerId>, InferCreationAttributes<FormerId>> {
  declare publicId: string
}

/** A version of the script that was served from here; snippets may be pinned to it. */
export class ScriptVersion extends Model<InferAttributes<ScriptVersion>, InferCreationAttributes<ScriptVersion>> {
  declare version: string
  declare bytes: Buffer
  declare madeAt: CreationOptional<Date>
}

export function defineArtefacts(sequelize: Sequelize): void {
  Artefact.init(
    {
      publicId: { ...text(), primaryKey: true },
      form: { type: DataTypes.TEXT, allowNull: false, primaryKey: true },
      installId: maybeRef(),
      widgetId: maybeRef(),
      contentType: text(),
      bytes: bytes(),
      etag: text(),
      facts: json({}),
      computedAt: time(),
      rendering: { type: DataTypes.BIGINT, allowNull: false, defaultValue: 0 },
    },
    { sequelize, tableName: 'artefacts' },
  )
  ScriptVersion.init(
    { version: { ...text(), primaryKey: true }, bytes: bytes(), madeAt: time() },
    { sequelize, tableName: 'script_versions' },
  )
  FormerId.init({ publicId: { ...text(), primaryKey: true } }, { sequelize, tableName: 'former_ids' })
}
