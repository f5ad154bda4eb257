import { DataTypes, type InitOptions } from 'sequelize'
import type { SaveAreaProgram, SaveProgram } from '#shared/schemas/program'
import type { SaveProbe, SaveStation } from '#shared/schemas/weather'
import { text } from './columns'
import { editable, EditableModel } from './editableModel'

export class StationModel extends EditableModel<StationModel> {
  declare name: string
  declare document: SaveStation['document']
}

export class ProbeModel extends EditableModel<ProbeModel> {
  declare areaId: string
  declare onDay: string | null
  declare soil: number | null
  declare document: SaveProbe['document']
}

export class ProgramModel extends EditableModel<ProgramModel> {
  declare name: string
  declare document: SaveProgram['document']
}

export class AreaProgramModel extends EditableModel<AreaProgramModel> {
  declare areaId: string
  declare programId: string
  declare document: SaveAreaProgram['document']
}

/** Binds stations, probes and programs to one connection; days of weather are asked for in SQL alone. */
export function defineWeather(options: (tableName: string) => InitOptions): void {
  StationModel.init({ ...editable(), name: text() }, options('stations'))
  ProbeModel.init(
    { ...editable(), areaId: DataTypes.UUID, onDay: DataTypes.DATEONLY, soil: DataTypes.DOUBLE },
    options('probes'),
  )
  ProgramModel.init({ ...editable(), name: text() }, options('programs'))
  AreaProgramModel.init(
    { ...editable(), areaId: DataTypes.UUID, programId: DataTypes.UUID },
    options('area_programs'),
  )
}
