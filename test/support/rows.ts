import { usualProgram } from '#core/program/usualPrograms'
import type { SaveAreaProgram, SaveProgram } from '#shared/schemas/program'
import { v7 as uuid } from 'uuid'
import { blankEquipment } from '../../core/calibration/blankEquipment'
import { blankCalibration, part } from './documents'
import { blankPattern } from '../../core/calibration/benchTest'
import { blankArea } from '../../core/ground/blankArea'
import { blankProductDocument } from '../../core/label/blankProduct'
import { typed } from '../../demo/typed'
import type { SaveCalibration, SaveEquipment } from '../../shared/schemas/equipment'
import type { SaveArea, SaveSite } from '../../shared/schemas/ground'
import type { SaveBenchTest } from '../../shared/schemas/benchTest'
import type { SaveProbe, SaveStation } from '../../shared/schemas/weather'
import type { SaveProduct } from '../../shared/schemas/product'

/** Rows as a screen would send them, new ones at version 0. */
export const aSite = (name = 'Cooperage Row'): SaveSite => ({
  version: 0,
  name,
  place: 'Tamsin Point',
  document: { schema: 1, contact: '', notices: '', water: '', notes: '' },
})

export const anArea = (siteId: string, name = 'Front', length = '100'): SaveArea => ({
  version: 0,
  siteId,
  name,
  position: 0,
  document: { ...blankArea(uuid(), 'us-1000'), parts: [part('add', 'rectangle', { length, width: '50' })] },
})

export const aSpreader = (name = 'Push'): SaveEquipment => ({
  version: 0,
  name,
  document: blankEquipment('spreader', 'us-1000'),
})

export const aSprayer = (name = 'Backpack'): SaveEquipment => ({
  version: 0,
  name,
  document: blankEquipment('sprayer', 'us-1000'),
})

/** 1 gal on 10 ft x 100 ft. */
export function aCalibration(equipmentId: string, kind: 'spread' | 'spray' = 'spray'): SaveCalibration {
  const blank = blankCalibration(kind, uuid(), 'us-1000')
  if (blank.kind === 'spread') return { version: 0, equipmentId, document: blank }
  const course = {
    ...blank.course,
    on: '2026-05-01',
    length: typed('100', 'ft' as const),
    width: typed('10', 'ft' as const),
    runs: [{ id: uuid(), used: typed('1', 'gal' as const) }],
  }
  return { version: 0, equipmentId, document: { ...blank, course } }
}

export const aStation = (name = 'Pier'): SaveStation => ({
  version: 0,
  name,
  document: { schema: 1, latitude: '41.3', longitude: '-70.7', notes: '' },
})

export const aProbe = (areaId: string, soil = '54'): SaveProbe => ({
  version: 0,
  areaId,
  document: {
    schema: 1,
    on: '2026-05-04',
    soil: typed(soil, '°F'),
    depth: typed('2', 'in'),
    at: '7:30',
    where: 'middle',
  },
})

/** Seven trays every 2 ft: a triangle. */
export const aTrial = (equipmentId: string): SaveBenchTest => ({
  version: 0,
  equipmentId,
  document: {
    ...blankPattern('us-1000', 'broadcast'),
    spacing: typed('2', 'ft' as const),
    catches: ['0', '1', '2', '3', '2', '1', '0'].map((text) => typed(text, 'g' as const)),
  },
})

export const aProduct = (name = 'Granule'): SaveProduct => ({
  version: 0,
  name,
  document: blankProductDocument(uuid(), 'us-1000'),
})

export const aProgram = (name = 'Own program'): SaveProgram => ({
  version: 0,
  name,
  document: usualProgram('cool-season lawn', 'us-1000', uuid),
})

export const anAreaProgram = (areaId: string, programId: string): SaveAreaProgram => ({
  version: 0,
  areaId,
  programId,
  document: { schema: 1, changes: [], notes: '' },
})
