import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { bytes, id, integer, json, maybeRef, maybeText, ref, text, time } from '../platform/database/columns'

/** A picture by the address it came from. */
export class Picture extends Model<InferAttributes<Picture>, InferCreationAttributes<Picture>> {
  declare id: CreationOptional<string>
  declare sourceUrl: string
  /** Of its bytes as they came; part of the addresses of its copies. Null where it could not be had. */
  declare contentHash: string | null
  declare widths: number[]
  /** Why it could not be had. */
  declare problem: string | null
  declare triedAt: CreationOptional<Date>
  declare usedAt: CreationOptional<Date>
}

/** One copy of a picture: so wide, in one format. */
export class PictureCopy extends Model<InferAttributes<PictureCopy>, InferCreationAttributes<PictureCopy>> {
  declare contentHash: string
  declare width: number
  declare format: string
  declare bytes: Buffer
}

export class WidgetPicture extends Model<InferAttributes<WidgetPicture>, InferCreationAttributes<WidgetPicture>> {
  declare widgetId: string
  declare pictureId: string
}

/** A picture that a person uploaded, as it came. */
export class Upload extends Model<InferAttributes<Upload>, InferCreationAttributes<Upload>> {
  declare id: CreationOptional<string>
  /** As sharp calls it: jpeg, png, webp, gif, heif. */
  declare format: string
  declare bytes: Buffer
  declare uploadedBy: string | null
  declare createdAt: CreationOptional<Date>
}

export function definePictures(sequelize: Sequelize): void {
  Picture.init(
    {
      id: id(),
      sourceUrl: text(),
      contentHash: maybeText(),
      widths: json([]),
      problem: maybeText(),
      triedAt: time(),
      usedAt: time(),
    },
    { sequelize, tableName: 'pictures' },
  )
  PictureCopy.init(
    {
      contentHash: { ...text(), primaryKey: true },
      width: { ...integer(), primaryKey: true },
      format: { ...text(), primaryKey: true },
      bytes: bytes(),
    },
    { sequelize, tableName: 'picture_copies' },
  )
  WidgetPicture.init(
    { widgetId: { ...ref(), primaryKey: true }, pictureId: { ...ref(), primaryKey: true } },
    { sequelize, tableName: 'widget_pictures' },
  )
  Upload.init(
    { id: id(), format: text(), bytes: bytes(), uploadedBy: maybeRef(), createdAt: time() },
    { sequelize, tableName: 'uploads' },
  )
}
