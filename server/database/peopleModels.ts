import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type InitOptions,
} from 'sequelize'
import type { Role } from '#core/people/roles'
import { key, text } from './columns'

export class PersonModel extends Model<InferAttributes<PersonModel>, InferCreationAttributes<PersonModel>> {
  declare id: string
  declare name: string
  declare signIn: string
  /** As hashed; never leaves the repository but to be compared. */
  declare passphrase: string
  declare licence: CreationOptional<string>
  declare licenceEnds: CreationOptional<string | null>
  declare version: CreationOptional<number>
  declare failures: CreationOptional<number>
  declare waitUntil: CreationOptional<Date | null>
}

export class MembershipModel extends Model<
  InferAttributes<MembershipModel>,
  InferCreationAttributes<MembershipModel>
> {
  declare organizationId: string
  declare personId: string
  declare role: Role
  declare createdAt: CreationOptional<Date>
  declare endedAt: CreationOptional<Date | null>
}

export class SessionModel extends Model<
  InferAttributes<SessionModel>,
  InferCreationAttributes<SessionModel>
> {
  declare id: string
  declare personId: string
  declare device: string
  declare begunAt: CreationOptional<Date>
  declare seenAt: CreationOptional<Date>
  declare endedAt: CreationOptional<Date | null>
}

export class InvitationModel extends Model<
  InferAttributes<InvitationModel>,
  InferCreationAttributes<InvitationModel>
> {
  declare organizationId: string
  declare id: string
  declare role: Role
  declare codeHash: string
  declare madeBy: string
  declare endsAt: Date
  declare usedAt: CreationOptional<Date | null>
}

/** Binds the models of people to one connection. */
export function definePeople(options: (tableName: string) => InitOptions): void {
  PersonModel.init(
    {
      id: key(),
      name: text(),
      signIn: text(),
      passphrase: text(),
      licence: text(),
      licenceEnds: DataTypes.DATEONLY,
      version: DataTypes.INTEGER,
      failures: DataTypes.INTEGER,
      waitUntil: DataTypes.DATE,
    },
    options('people'),
  )
  MembershipModel.init(
    {
      organizationId: key(),
      personId: { ...key(), field: 'person_id' },
      role: text(),
      createdAt: DataTypes.DATE,
      endedAt: DataTypes.DATE,
    },
    options('memberships'),
  )
  SessionModel.init(
    {
      id: key(),
      personId: DataTypes.UUID,
      device: text(),
      begunAt: DataTypes.DATE,
      seenAt: DataTypes.DATE,
      endedAt: DataTypes.DATE,
    },
    options('sessions'),
  )
  InvitationModel.init(
    {
      organizationId: key(),
      id: key(),
      role: text(),
      codeHash: text(),
      madeBy: text(),
      endsAt: DataTypes.DATE,
      usedAt: DataTypes.DATE,
    },
    options('invitations'),
  )
}
