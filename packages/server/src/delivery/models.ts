import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { integer, ref, text, time } from '../platform/database/columns'

/** What one install serves: bytes, computed beforehand. */
export class Payload extends Model<InferAttributes<Payload>, InferCreationAttributes<Payload>> {
  declare installId: string
  declare publicId: string
  declare releaseId: string
  declare body: string
  declare bodyEtag: string
  declare frame: string
  declare frameEtag: string
  declare height: number
  declare computedAt: CreationOptional<Date>
}

/** A public id whose install was removed. */
export class FormerId extends Model<InferAttributes<FormerId>, InferCreationAttributes<FormerId>> {
  declare publicId: string
}

export function defineDelivery(sequelize: Sequelize): void {
  Payload.init(
    {
      installId: { ...ref(), primaryKey: true },
      publicId: text(),
      releaseId: ref(),
      body: text(),
      bodyEtag: text(),
      frame: text(),
      frameEtag: text(),
      height: integer(),
      computedAt: time(),
    },
    { sequelize, tableName: 'payloads' },
  )
  FormerId.init({ publicId: { ...text(), primaryKey: true } }, { sequelize, tableName: 'former_ids' })
}
