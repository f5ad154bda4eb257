import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type InitOptions,
} from 'sequelize'
import type { AreaDocument, FieldNotes } from '#core/ground/areaShape'
import type { CalibrationDocument } from '#core/calibration/calibrationShape'
import type { EquipmentDocument } from '#core/calibration/equipmentShape'
import type { BenchTestDocument } from '#core/calibration/benchTestShape'
import type { ProductDocument } from '#core/label/productShape'
import type { Dimension } from '#core/quantity/rateUnit'
import type { MovementKind } from '#core/stock/onHand'
import type { SaveSite } from '#shared/schemas/ground'
import type { StockMovement } from '#shared/schemas/product'
import { figure, key, text } from './columns'
import { editable, EditableModel } from './editableModel'

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

export class BenchTestModel extends EditableModel<BenchTestModel> {
  declare equipmentId: string
  declare onDay: string | null
  declare document: BenchTestDocument
}

export class ProductModel extends EditableModel<ProductModel> {
  declare name: string
  declare kind: string
  declare document: ProductDocument
}

export class AreaSizeModel extends Model<
  InferAttributes<AreaSizeModel>,
  InferCreationAttributes<AreaSizeModel>
> {
  declare organizationId: string
  declare id: string
  declare areaId: string
  declare onDay: string
  declare sizeM2: number
  declare sdM2: number
  declare notes: FieldNotes
  declare at: CreationOptional<Date>
}

export class StockMovementModel extends Model<
  InferAttributes<StockMovementModel>,
  InferCreationAttributes<StockMovementModel>
> {
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

export class LaidDownModel extends Model<
  InferAttributes<LaidDownModel>,
  InferCreationAttributes<LaidDownModel>
> {
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
  declare lastsDays: number | null
  declare at: CreationOptional<Date>
}

/** Binds the library and its ledgers to one connection. */
export function defineLibrary(options: (tableName: string) => InitOptions): void {
  SiteModel.init({ ...editable(), name: text(), place: text() }, options('sites'))
  AreaModel.init(
    {
      ...editable(),
      siteId: DataTypes.UUID,
      name: text(),
      position: DataTypes.INTEGER,
      sizeM2: figure('size_m2'),
      sdM2: figure('sd_m2'),
    },
    options('areas'),
  )
  EquipmentModel.init({ ...editable(), name: text(), kind: text() }, options('equipment'))
  CalibrationModel.init(
    {
      ...editable(),
      equipmentId: DataTypes.UUID,
      onDay: DataTypes.DATEONLY,
      product: text(),
      perPass: DataTypes.DOUBLE,
    },
    options('calibrations'),
  )
  BenchTestModel.init(
    { ...editable(), equipmentId: DataTypes.UUID, onDay: DataTypes.DATEONLY },
    options('bench_tests'),
  )
  ProductModel.init({ ...editable(), name: text(), kind: text() }, options('products'))
  AreaSizeModel.init(
    {
      organizationId: key(),
      id: key(),
      areaId: DataTypes.UUID,
      onDay: DataTypes.DATEONLY,
      sizeM2: figure('size_m2'),
      sdM2: figure('sd_m2'),
      notes: DataTypes.JSONB,
      at: DataTypes.DATE,
    },
    options('area_sizes'),
  )
  StockMovementModel.init(
    {
      organizationId: key(),
      id: key(),
      productId: DataTypes.UUID,
      kind: text(),
      dimension: text(),
      amount: DataTypes.DOUBLE,
      entered: DataTypes.JSONB,
      lot: text(),
      remarks: text(),
      applicationId: DataTypes.UUID,
      onDay: DataTypes.DATEONLY,
      at: DataTypes.DATE,
    },
    options('stock_movements'),
  )
  LaidDownModel.init(
    {
      organizationId: key(),
      id: key(),
      applicationId: DataTypes.UUID,
      siteId: DataTypes.UUID,
      areaId: DataTypes.UUID,
      productId: DataTypes.UUID,
      sourceId: DataTypes.UUID,
      product: text(),
      active: text(),
      groups: text(),
      onDay: DataTypes.DATEONLY,
      dimension: text(),
      amount: DataTypes.DOUBLE,
      sizeM2: figure('size_m2'),
      nKg: figure('n_kg'),
      p2o5Kg: figure('p2o5_kg'),
      k2oKg: figure('k2o_kg'),
      feKg: figure('fe_kg'),
      repeatDays: DataTypes.DOUBLE,
      lastsDays: DataTypes.DOUBLE,
      at: DataTypes.DATE,
    },
    options('laid_down'),
  )
}
