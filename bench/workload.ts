import type { ApplicationDraft } from '../core/draft/applicationShape'
import type { PlanRequest } from '../core/plan/planRequest'
import { typed } from '../demo/typed'
import { lawn, part, product, spraying, sprayerCourse } from '../test/support/documents'

/** A tank mix of so many products on so many lawns, as a sheet would hold it. */
export function largeDocument(lawns: number, products: number): ApplicationDraft {
  return spraying(
    Array.from({ length: lawns }, (_, i) =>
      lawn(`Lawn ${i + 1}`, [
        part('add', 'rectangle', { length: String(60 + i * 1.7), width: String(31 + i * 0.9) }),
        part('subtract', 'circle', { diameter: '9.5' }),
      ]),
    ),
    Array.from({ length: products }, (_, i) =>
      product(`Product ${i + 1}`, 'spray', {
        rate: typed(String(1.4 + i * 0.37), 'fl oz/1000 ft2'),
        low: typed('1', 'fl oz/1000 ft2'),
        high: typed('6', 'fl oz/1000 ft2'),
        step: typed('5', 'mL'),
        density: typed('10.3', 'lb/gal'),
      }),
    ),
    {
      tank: typed('60', 'gal'),
      dead: typed('0.4', 'gal'),
      calibration: sprayerCourse('2026-04-13', typed('132', 'ft'), typed('11.5', 'ft'), '3.1', [
        typed('1.9', 'gal'),
        typed('1.94', 'gal'),
      ]),
    },
  )
}

/** The contract's request of the same size. */
export const largeRequest = (areas: number, products: number): PlanRequest => ({
  areas: Array.from({ length: areas }, (_, i) => ({
    id: `a${i}`,
    name: `Lawn ${i + 1}`,
    size: { value: 1860 + i * 113, unit: 'ft2' },
  })),
  products: Array.from({ length: products }, (_, i) => ({
    id: `p${i}`,
    name: `Product ${i + 1}`,
    rate: { value: 1.4 + i * 0.37, unit: 'fl oz/1000 ft2' },
    density: { value: 10.3, unit: 'lb/gal' },
    limits: { low: { value: 1, unit: 'fl oz/1000 ft2' }, high: { value: 6, unit: 'fl oz/1000 ft2' } },
    measureStep: { value: 5, unit: 'mL' },
  })),
  method: {
    kind: 'spray',
    carrier: { value: 1.3, unit: 'gal/1000 ft2' },
    tank: { value: 60, unit: 'gal' },
    loads: 'full-then-part',
    dead: { value: 0.4, unit: 'gal' },
  },
})
