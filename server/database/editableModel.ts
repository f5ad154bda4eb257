import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
} from 'sequelize'
import { key } from './columns'

/** What every editable row of a room carries. */
export abstract class EditableModel<M extends Model> extends Model<
  InferAttributes<M>,
  InferCreationAttributes<M>
> {
  declare organizationId: string
  declare id: string
  declare version: number
  declare createdAt: CreationOptional<Date>
  declare updatedAt: CreationOptional<Date>
  declare deletedAt: CreationOptional<Date | null>
}

/** Its columns. */
export const editable = () => ({
  organizationId: key(),
  id: key(),
  document: DataTypes.JSONB,
  version: { type: DataTypes.INTEGER, allowNull: false },
  createdAt: DataTypes.DATE,
  updatedAt: DataTypes.DATE,
  deletedAt: DataTypes.DATE,
})
