import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import type { JobState } from '#core/job/chain'
import type { ApplicationDraft } from '#core/draft/applicationShape'
import type { EventPerson, RunEventBody } from '#core/run/runEvent'
import type { RunRecord } from '#core/run/foldRun'
import type { UnitSystem } from '#core/quantity/systems'
import type { Organization } from '#shared/schemas/organization'
import type { RecordRow } from '#shared/schemas/run'
import { AttachmentModel, defineAttachments } from './attachmentModel'
import { figure, key, text } from './columns'
import { definePeople, InvitationModel, MembershipModel, PersonModel, SessionModel } from './peopleModels'
import { AreaProgramModel, defineWeather, ProbeModel, ProgramModel, StationModel } from './weatherModels'
import {
  AreaModel,
  AreaSizeModel,
  CalibrationModel,
  defineLibrary,
  EquipmentModel,
  LaidDownModel,
  ProductModel,
  SiteModel,
  StockMovementModel,
  BenchTestModel,
} from './libraryModels'

/** Columns only; rows leave the repositories as plain typed data, never as these. */
export class OrganizationModel extends Model<
  InferAttributes<OrganizationModel>,
  InferCreationAttributes<OrganizationModel>
> {
  declare id: string
  declare name: string
  declare kind: Organization['kind']
  declare licence: string
  declare units: UnitSystem
  declare timeZone: string
  /** Milliseconds ahead of the real clock; BIGINT comes as text. */
  declare clockShift: string
  declare settings: CreationOptional<object>
  declare version: CreationOptional<number>
  /** It has people: nobody else opens it. */
  declare peopled: CreationOptional<boolean>
  declare createdAt: CreationOptional<Date>
}

export class JobModel extends Model<InferAttributes<JobModel>, InferCreationAttributes<JobModel>> {
  declare organizationId: string
  declare id: string
  declare site: string
  declare purpose: string
  declare givenTo: string
  declare siteId: string | null
  declare plannedFor: string | null
  declare drive: number | null
  declare state: JobState
  declare version: number
  declare createdAt: CreationOptional<Date>
  declare updatedAt: CreationOptional<Date>
  declare deletedAt: CreationOptional<Date | null>
}

class ApplicationModel extends Model<
  InferAttributes<ApplicationModel>,
  InferCreationAttributes<ApplicationModel>
> {
  declare organizationId: string
  declare id: string
  declare jobId: string
  declare position: number
  /** As entered. */
  declare document: ApplicationDraft
  /** As computed by the server from the document, with the core's version; null until it can be planned. */
  declare updatedAt: CreationOptional<Date>
}

export class RunEventModel extends Model<
  InferAttributes<RunEventModel>,
  InferCreationAttributes<RunEventModel>
> {
  declare organizationId: string
  declare id: string
  declare applicationId: string
  declare deviceId: string
  declare sequence: number
  declare counter: number
  declare kind: RunEventBody['kind']
  declare payload: RunEventBody['payload']
  declare at: Date
  declare receivedAt: CreationOptional<Date>
  /** As the device told it; `at` is the server's reckoning. */
  declare deviceAt: CreationOptional<Date | null>
  /** Who was signed in on the device; null where nobody is asked to. */
  declare person: CreationOptional<EventPerson | null>
}

export class RecordModel extends Model<InferAttributes<RecordModel>, InferCreationAttributes<RecordModel>> {
  declare organizationId: string
  declare id: string
  declare jobId: string
  declare site: string
  declare products: string
  declare finishedAt: Date
  declare siteId: string | null
  declare doneBy: string
  declare targets: string
  declare reentryUntil: Date | null
  declare sizeM2: number
  declare verdict: RecordRow['verdict']
  /** The saved machine it was carried out with. */
  declare equipmentId: string | null
  declare document: RunRecord
  declare updatedAt: CreationOptional<Date>
}

export interface Models {
  readonly organizations: typeof OrganizationModel
  readonly jobs: typeof JobModel
  readonly applications: typeof ApplicationModel
  readonly runEvents: typeof RunEventModel
  readonly records: typeof RecordModel
  readonly sites: typeof SiteModel
  readonly areas: typeof AreaModel
  readonly areaSizes: typeof AreaSizeModel
  readonly equipment: typeof EquipmentModel
  readonly calibrations: typeof CalibrationModel
  readonly benchTests: typeof BenchTestModel
  readonly products: typeof ProductModel
  readonly stations: typeof StationModel
  readonly probes: typeof ProbeModel
  readonly programs: typeof ProgramModel
  readonly areaPrograms: typeof AreaProgramModel
  readonly stockMovements: typeof StockMovementModel
  readonly laidDown: typeof LaidDownModel
  readonly attachments: typeof AttachmentModel
  readonly people: typeof PersonModel
  readonly memberships: typeof MembershipModel
  readonly sessions: typeof SessionModel
  readonly invitations: typeof InvitationModel
}

/** Binds the models to one connection. */
export function defineModels(sequelize: Sequelize): Models {
  const options = (tableName: string) =>
    ({ sequelize, tableName, underscored: true, timestamps: false }) as const
  OrganizationModel.init(
    {
      id: key(),
      name: text(),
      kind: text(),
      licence: text(),
      units: text(),
      timeZone: text(),
      clockShift: { type: DataTypes.BIGINT, allowNull: false },
      settings: DataTypes.JSONB,
      version: DataTypes.INTEGER,
      peopled: DataTypes.BOOLEAN,
      createdAt: DataTypes.DATE,
    },
    options('organizations'),
  )
  JobModel.init(
    {
      organizationId: key(),
      id: key(),
      site: text(),
      siteId: DataTypes.UUID,
      purpose: text(),
      givenTo: text(),
      plannedFor: DataTypes.DATEONLY,
      drive: DataTypes.INTEGER,
      state: text(),
      version: { type: DataTypes.INTEGER, allowNull: false },
      createdAt: DataTypes.DATE,
      updatedAt: DataTypes.DATE,
      deletedAt: DataTypes.DATE,
    },
    options('jobs'),
  )
  ApplicationModel.init(
    {
      organizationId: key(),
      id: key(),
      jobId: DataTypes.UUID,
      position: DataTypes.INTEGER,
      document: DataTypes.JSONB,
      updatedAt: DataTypes.DATE,
    },
    options('applications'),
  )
  RunEventModel.init(
    {
      organizationId: key(),
      id: key(),
      applicationId: DataTypes.UUID,
      deviceId: DataTypes.UUID,
      sequence: DataTypes.INTEGER,
      counter: DataTypes.INTEGER,
      kind: text(),
      payload: DataTypes.JSONB,
      at: DataTypes.DATE,
      receivedAt: DataTypes.DATE,
      deviceAt: DataTypes.DATE,
      person: DataTypes.JSONB,
    },
    options('run_events'),
  )
  RecordModel.init(
    {
      organizationId: key(),
      id: key(),
      jobId: DataTypes.UUID,
      site: text(),
      products: text(),
      finishedAt: DataTypes.DATE,
      siteId: DataTypes.UUID,
      doneBy: text(),
      targets: text(),
      reentryUntil: DataTypes.DATE,
      sizeM2: figure('size_m2'),
      verdict: text(),
      equipmentId: DataTypes.UUID,
      document: DataTypes.JSONB,
      updatedAt: DataTypes.DATE,
    },
    options('records'),
  )
  defineLibrary(options)
  defineWeather(options)
  definePeople(options)
  defineAttachments(options)
  return {
    organizations: OrganizationModel,
    jobs: JobModel,
    applications: ApplicationModel,
    runEvents: RunEventModel,
    records: RecordModel,
    sites: SiteModel,
    areas: AreaModel,
    areaSizes: AreaSizeModel,
    equipment: EquipmentModel,
    calibrations: CalibrationModel,
    benchTests: BenchTestModel,
    products: ProductModel,
    stations: StationModel,
    probes: ProbeModel,
    programs: ProgramModel,
    areaPrograms: AreaProgramModel,
    stockMovements: StockMovementModel,
    laidDown: LaidDownModel,
    attachments: AttachmentModel,
    people: PersonModel,
    memberships: MembershipModel,
    sessions: SessionModel,
    invitations: InvitationModel,
  }
}
