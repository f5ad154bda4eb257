import { counted, plural } from '#core/quantity/counting'
import { v7 as uuid } from 'uuid'
import { dayText } from '#core/calendar/dayText'
import type { NamedCalibration } from '#core/calibration/calibrationRows'
import { readCalibrationRows } from '#core/calibration/calibrationRows'
import type { NamedProduct } from '#core/label/productRows'
import { readProductRows } from '#core/label/productRows'
import type { UnitSystem } from '#core/quantity/systems'
import { CalibrationFileSchema, type ImportedCalibrations } from '#shared/schemas/calibrationFile'
import { ProductFileSchema, type ImportedProducts } from '#shared/schemas/productFile'
import type { FileFormat } from './useFileImport'

/** Calibrations of one machine. */
export const calibrationFormat = (
  equipmentId: string,
  kind: () => 'spread' | 'spray',
): FileFormat<NamedCalibration> => ({
  column: 'kind',
  rows: (rows) => {
    const { calibrations, problems } = readCalibrationRows(rows, uuid)
    return { items: calibrations, problems }
  },
  json: (value) => jsonItems(CalibrationFileSchema, value, ({ calibrations }) => calibrations),
  refuse: (items) => {
    const other = items.find(({ document }) => document.kind !== kind())
    return (
      other &&
      `It holds calibrations of a ${other.document.kind === 'spread' ? 'spreader' : 'sprayer'}: take ` +
        'it in at that machine.'
    )
  },
  send: (items) =>
    tell<ImportedCalibrations>('POST', `/equipment/${equipmentId}/calibrations`, { calibrations: items }),
})

export function calibrationsFound(items: readonly NamedCalibration[]): string {
  const days = items
    .map(({ document }) => document.course.on)
    .filter((on) => on !== '')
    .toSorted()
  return (
    `${items.length} ` +
    plural(items.length, 'calibration') +
    `${days.length > 0 ? `, ${dayText(days[0] ?? '')} to ${dayText(days.at(-1) ?? '')}` : ''}.`
  )
}

/** Labels of a crew. */
export const shelfFormat = (system: () => UnitSystem): FileFormat<NamedProduct> => ({
  column: 'name',
  rows: (rows) => {
    const { products, problems } = readProductRows(rows, uuid, system())
    return { items: products, problems }
  },
  json: (value) => jsonItems(ProductFileSchema, value, ({ products }) => products),
  send: (items) => tell<ImportedProducts>('POST', '/products/file', { products: items }),
})

export const productsFound = (items: readonly NamedProduct[]): string =>
  `${counted(items.length, 'product')}: ${items
    .slice(0, 3)
    .map(({ name }) => name)
    .join(', ')}${items.length > 3 ? ' and more' : ''}.`
