import type { ProductKind } from '#core/label/productDocument'
import type { ProgramDocument } from '#core/program/programShape'
import { usualProgram, type UsualProgram } from '#core/program/usualPrograms'
import type { SaveAreaProgram, SaveProgram } from '../shared/schemas/program'
import { sampleProducts } from './sampleProducts'
import { named } from './typed'

const SLOW = 'Slow-feed 21-0-6 granule'
const BARRIER = 'Prodiamine 65 % granule for water'
/** What the crew takes for a kind of step. */
const TAKES: Readonly<Partial<Record<ProductKind, string>>> = {
  fertilizer: SLOW,
  'pre-emergent herbicide': BARRIER,
  fungicide: 'Azoxystrobin 50 % granule for water',
  insecticide: 'Chlorantraniliprole granule',
  'growth regulator': 'Trinexapac-ethyl 11.3 %',
}

function program(name: UsualProgram): {
  readonly id: string
  readonly row: Omit<SaveProgram, 'version'>
} {
  let count = 0
  const own = usualProgram(name, 'us-1000', () => named(`step ${name} ${count++}`))
  const idOf = (product: string) => sampleProducts().find((one) => one.name === product)?.id ?? ''
  const document: ProgramDocument = {
    ...own,
    steps: own.steps.map((step) => ({
      ...step,
      productId: idOf(
        step.title.startsWith('Potassium')
          ? 'Autumn 5-0-26 granule'
          : step.kind === ''
            ? ''
            : (TAKES[step.kind] ?? ''),
      ),
    })),
  }
  return {
    id: named(`program ${name}`),
    row: { name: name[0]!.toUpperCase() + name.slice(1), document },
  }
}

export const samplePrograms = () => [program('cool-season lawn'), program('warm-season lawn, left dormant')]

/** Where they are applied: the commons of Cooperage Row, the fescue of The Saltings, the court to be sown. */
const APPLIED: readonly (readonly [area: string, program: UsualProgram])[] = [
  ['Cooperage Row Shared green', 'cool-season lawn'],
  ['Cooperage Row Front strips 1-3', 'cool-season lawn'],
  ['Saltings Fescue front', 'cool-season lawn'],
  ['Marlow Croquet lawn', 'warm-season lawn, left dormant'],
]

export const sampleAreaPrograms = (): readonly {
  readonly id: string
  readonly row: Omit<SaveAreaProgram, 'version'>
}[] =>
  APPLIED.map(([area, name]) => ({
    id: named(`applied ${area}`),
    row: {
      areaId: named(`area ${area}`),
      programId: named(`program ${name}`),
      document: { schema: 1, changes: [], notes: '' },
    },
  }))
