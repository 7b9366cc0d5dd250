import { DataTypes, literal, type ModelAttributeColumnOptions } from 'sequelize'

// Column definitions the models share. The database's own defaults stand in the migrations.

type Column = ModelAttributeColumnOptions
const column = (type: Column['type'], allowNull: boolean, more: Partial<Column> = {}): Column => ({
  type,
  allowNull,
  ...more,
})

export const id = (): Column =>
  column(DataTypes.UUID, false, { primaryKey: true, defaultValue: literal('gen_random_uuid()') })
export const ref = (): Column => column(DataTypes.UUID, false)
export const maybeRef = (): Column => column(DataTypes.UUID, true)
export const text = (): Column => column(DataTypes.TEXT, false)
export const bytes = (): Column => column(DataTypes.BLOB, false)
export const maybeText = (): Column => column(DataTypes.TEXT, true)
export const integer = (byDefault?: number): Column =>
  column(DataTypes.INTEGER, false, byDefault === undefined ? {} : { defaultValue: byDefault })
export const yesNo = (): Column => column(DataTypes.BOOLEAN, false, { defaultValue: false })
export const json = (byDefault?: unknown): Column =>
  column(DataTypes.JSONB, false, byDefault === undefined ? {} : { defaultValue: byDefault })
export const maybeJson = (): Column => column(DataTypes.JSONB, true)
export const time = (): Column => column(DataTypes.DATE, false, { defaultValue: DataTypes.NOW })
export const maybeTime = (): Column => column(DataTypes.DATE, true)
