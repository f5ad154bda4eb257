import {
  DataTypes, Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type InitOptions, type Sequelize,
} from 'sequelize'
import type { JobState } from '#core/jobsheet/chain'
import type { ApplicationDocument } from '#core/jobsheet/document'
import type { RunEventBody } from '#core/run/runEvent'
import type { RunRecord } from '#core/run/foldRun'
import type { UnitSystem } from '#core/quantity/systems'
import type { PlannedSheet } from '#core/jobsheet/plannedSheet'
import type { AreaDocument } from '#core/ground/areaDocument'
import type { FieldNotes } from '#core/ground/fieldNotes'
import type { CalibrationDocument } from '#core/calibration/calibrationDocument'
import type { EquipmentDocument } from '#core/calibration/equipmentDocument'
import type { ProductDocument } from '#core/label/productDocument'
import type { Dimension } from '#core/quantity/rateUnit'
import type { MovementKind } from '#core/stock/onHand'
import type { SaveSite } from '#shared/schemas/ground'
import type { Organization } from '#shared/schemas/organization'
import type { StockMovement } from '#shared/schemas/product'
import type { RecordRow } from '#shared/schemas/run'

/** Columns only; rows leave the repositories as plain typed data, never as these. */
export class OrganizationModel extends Model<InferAttributes<OrganizationModel>, InferCreationAttributes<OrganizationModel>> {
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
  declare createdAt: CreationOptional<Date>
}

export class JobModel extends Model<InferAttributes<JobModel>, InferCreationAttributes<JobModel>> {
  declare organizationId: string
  declare id: string
  declare site: string
  declare purpose: string
  declare siteId: string | null
  declare plannedFor: string | null
  declare state: JobState
  declare version: number
  declare createdAt: CreationOptional<Date>
  declare updatedAt: CreationOptional<Date>
  declare deletedAt: CreationOptional<Date | null>
}

export class ApplicationModel extends Model<InferAttributes<ApplicationModel>, InferCreationAttributes<ApplicationModel>> {
  declare organizationId: string
  declare id: string
  declare jobId: string
  declare position: number
  /** As entered. */
  declare document: ApplicationDocument
  /** As computed by the server from the document, with the core's version; null until it can be planned. */
  declare sheet: PlannedSheet | null
  declare updatedAt: CreationOptional<Date>
}

export class RunEventModel extends Model<InferAttributes<RunEventModel>, InferCreationAttributes<RunEventModel>> {
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
  declare document: RunRecord
  declare updatedAt: CreationOptional<Date>
}

/** What every editable row of a room carries. */
abstract class EditableModel<M extends Model> extends Model<InferAttributes<M>, InferCreationAttributes<M>> {
  declare organizationId: string
  declare id: string
  declare version: number
  declare createdAt: CreationOptional<Date>
  declare updatedAt: CreationOptional<Date>
  declare deletedAt: CreationOptional<Date | null>
}

export class SiteModel extends EditableModel<SiteModel> {
  declare name: string
  declare place: string
  declare document: SaveSite['document']
}

export class AreaModel extends EditableModel<AreaModel> {
  declare siteId: string
  declare name: string
  declare position: number
  declare sizeM2: number | null
  declare sdM2: number | null
  declare document: AreaDocument
}

export class EquipmentModel extends EditableModel<EquipmentModel> {
  declare name: string
  declare kind: string
  declare document: EquipmentDocument
}

export class CalibrationModel extends EditableModel<CalibrationModel> {
  declare equipmentId: string
  declare onDay: string | null
  declare product: string
  declare perPass: number | null
  declare document: CalibrationDocument
}

export class ProductModel extends EditableModel<ProductModel> {
  declare name: string
  declare kind: string
  declare document: ProductDocument
}

export class AreaSizeModel extends Model<InferAttributes<AreaSizeModel>, InferCreationAttributes<AreaSizeModel>> {
  declare organizationId: string
  declare id: string
  declare areaId: string
  declare onDay: string
  declare sizeM2: number
  declare sdM2: number
  declare notes: FieldNotes
  declare at: CreationOptional<Date>
}

export class StockMovementModel extends Model<InferAttributes<StockMovementModel>, InferCreationAttributes<StockMovementModel>> {
  declare organizationId: string
  declare id: string
  declare productId: string
  declare kind: MovementKind
  declare dimension: Dimension
  declare amount: number
  declare entered: StockMovement['entered']
  declare lot: string
  declare remarks: string
  declare applicationId: string | null
  declare onDay: string
  declare at: CreationOptional<Date>
}

export class LaidDownModel extends Model<InferAttributes<LaidDownModel>, InferCreationAttributes<LaidDownModel>> {
  declare organizationId: string
  declare id: string
  declare applicationId: string
  declare siteId: string | null
  declare areaId: string
  declare productId: string
  declare sourceId: string | null
  declare product: string
  declare active: string
  declare groups: string
  declare onDay: string
  declare dimension: Dimension
  declare amount: number
  declare sizeM2: number
  declare nKg: number | null
  declare p2o5Kg: number | null
  declare k2oKg: number | null
  declare feKg: number | null
  declare repeatDays: number | null
  declare at: CreationOptional<Date>
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
  readonly products: typeof ProductModel
  readonly stockMovements: typeof StockMovementModel
  readonly laidDown: typeof LaidDownModel
}

// Functions: Sequelize writes into the object of each column, so no two may share one.
const key = () => ({ type: DataTypes.UUID, primaryKey: true, allowNull: false })
const text = () => ({ type: DataTypes.TEXT, allowNull: false })
const figure = (field: string) => ({ type: DataTypes.DOUBLE, field })

/** Binds the models to one connection. */
export function defineModels(sequelize: Sequelize): Models {
  const options = (tableName: string) => ({ sequelize, tableName, underscored: true, timestamps: false } as const)
  OrganizationModel.init({
    id: key(), name: text(), kind: text(), licence: text(), units: text(), timeZone: text(), clockShift: { type: DataTypes.BIGINT, allowNull: false },
    settings: DataTypes.JSONB, version: DataTypes.INTEGER, createdAt: DataTypes.DATE,
  }, options('organizations'))
  JobModel.init({
    organizationId: key(), id: key(), site: text(), siteId: DataTypes.UUID, purpose: text(), plannedFor: DataTypes.DATEONLY, state: text(),
    version: { type: DataTypes.INTEGER, allowNull: false }, createdAt: DataTypes.DATE, updatedAt: DataTypes.DATE, deletedAt: DataTypes.DATE,
  }, options('jobs'))
  ApplicationModel.init({
    organizationId: key(), id: key(), jobId: DataTypes.UUID, position: DataTypes.INTEGER, document: DataTypes.JSONB, sheet: DataTypes.JSONB, updatedAt: DataTypes.DATE,
  }, options('applications'))
  RunEventModel.init({
    organizationId: key(), id: key(), applicationId: DataTypes.UUID, deviceId: DataTypes.UUID, sequence: DataTypes.INTEGER, counter: DataTypes.INTEGER,
    kind: text(), payload: DataTypes.JSONB, at: DataTypes.DATE, receivedAt: DataTypes.DATE,
  }, options('run_events'))
  RecordModel.init({
    organizationId: key(), id: key(), jobId: DataTypes.UUID, site: text(), products: text(), finishedAt: DataTypes.DATE,
    siteId: DataTypes.UUID, doneBy: text(), targets: text(), reentryUntil: DataTypes.DATE,
    sizeM2: figure('size_m2'), verdict: text(), document: DataTypes.JSONB, updatedAt: DataTypes.DATE,
  }, options('records'))
  defineRooms(options)
  return {
    organizations: OrganizationModel, jobs: JobModel, applications: ApplicationModel, runEvents: RunEventModel, records: RecordModel,
    sites: SiteModel, areas: AreaModel, areaSizes: AreaSizeModel, equipment: EquipmentModel, calibrations: CalibrationModel, products: ProductModel,
    stockMovements: StockMovementModel, laidDown: LaidDownModel,
  }
}

function defineRooms(options: (tableName: string) => InitOptions): void {
  const editable = () => ({
    organizationId: key(), id: key(), document: DataTypes.JSONB, version: { type: DataTypes.INTEGER, allowNull: false },
    createdAt: DataTypes.DATE, updatedAt: DataTypes.DATE, deletedAt: DataTypes.DATE,
  })
  SiteModel.init({ ...editable(), name: text(), place: text() }, options('sites'))
  AreaModel.init({ ...editable(), siteId: DataTypes.UUID, name: text(), position: DataTypes.INTEGER, sizeM2: figure('size_m2'), sdM2: figure('sd_m2') }, options('areas'))
  EquipmentModel.init({ ...editable(), name: text(), kind: text() }, options('equipment'))
  CalibrationModel.init({ ...editable(), equipmentId: DataTypes.UUID, onDay: DataTypes.DATEONLY, product: text(), perPass: DataTypes.DOUBLE }, options('calibrations'))
  ProductModel.init({ ...editable(), name: text(), kind: text() }, options('products'))
  AreaSizeModel.init({
    organizationId: key(), id: key(), areaId: DataTypes.UUID, onDay: DataTypes.DATEONLY, sizeM2: figure('size_m2'), sdM2: figure('sd_m2'), notes: DataTypes.JSONB, at: DataTypes.DATE,
  }, options('area_sizes'))
  StockMovementModel.init({
    organizationId: key(), id: key(), productId: DataTypes.UUID, kind: text(), dimension: text(), amount: DataTypes.DOUBLE, entered: DataTypes.JSONB, lot: text(), remarks: text(),
    applicationId: DataTypes.UUID, onDay: DataTypes.DATEONLY, at: DataTypes.DATE,
  }, options('stock_movements'))
  LaidDownModel.init({
    organizationId: key(), id: key(), applicationId: DataTypes.UUID, siteId: DataTypes.UUID, areaId: DataTypes.UUID, productId: DataTypes.UUID, sourceId: DataTypes.UUID,
    product: text(), active: text(), groups: text(), onDay: DataTypes.DATEONLY, dimension: text(), amount: DataTypes.DOUBLE, sizeM2: figure('size_m2'),
    nKg: figure('n_kg'), p2o5Kg: figure('p2o5_kg'), k2oKg: figure('k2o_kg'), feKg: figure('fe_kg'), repeatDays: DataTypes.DOUBLE, at: DataTypes.DATE,
  }, options('laid_down'))
}
