import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type InitOptions,
} from 'sequelize'
import type { Paper, Picture } from '#shared/schemas/picture'
import { key, text } from './columns'

export class AttachmentModel extends Model<
  InferAttributes<AttachmentModel>,
  InferCreationAttributes<AttachmentModel>
> {
  declare organizationId: string
  declare id: string
  declare mediaType: (Picture | Paper)['type']
  declare width: number | null
  declare height: number | null
  declare digest: string
  declare bytes: Buffer
  declare at: CreationOptional<Date>
}

export function defineAttachments(options: (tableName: string) => InitOptions): void {
  AttachmentModel.init(
    {
      organizationId: key(),
      id: key(),
      mediaType: text(),
      width: DataTypes.INTEGER,
      height: DataTypes.INTEGER,
      digest: text(),
      bytes: DataTypes.BLOB,
      at: DataTypes.DATE,
    },
    options('attachments'),
  )
}
