import { typedFigure } from '../../quantity/entered'
import type { BenchTestDocument, NozzleBenchTest, PatternBenchTest } from '../../calibration/benchTestShape'
import type { EquipmentDocument } from '../../calibration/equipmentShape'
import { readFan } from '../../calibration/readBoomAsk'
import { readPattern } from '../../calibration/readBenchTest'
import { skew } from '../../calibration/trayPattern'
import { dayText } from '../../calendar/dayText'
import { dropSpread, nozzlePattern, typicalSpread, type Pattern } from '../../lanes/coverage/profiles'
import { fieldReader } from '../../quantity/fieldReader'
import { lengthSi } from '../../quantity/quantity'
import { CUBIC_METRES_PER } from '../../quantity/units'
import { closedWorkingBook } from '../../working/working'

/** The pattern a machine throws, and how it is known. */
export interface ToldPattern extends Pattern {
  readonly words: string
  /** One side gets more than the other. */
  readonly skewed: boolean
}

/**
 * What a machine throws across its lane: its newest tray test or nozzle check where one can be read, else a
 * typical one that says it is a guess.
 * @param width the calibrated one, m
 */
export function throwPattern(
  method: 'spread' | 'spray',
  machine: EquipmentDocument | undefined,
  tests: readonly BenchTestDocument[],
  width: number,
): ToldPattern {
  const newest = tests.toSorted((a, b) => b.on.localeCompare(a.on))
  for (const test of newest) {
    const read = test.kind === 'pattern' ? fromTrays(test, method) : fromNozzles(test, method)
    if (read) return read
  }
  if (method === 'spread' && machine?.kind === 'spreader' && machine.type === 'drop')
    return { ...dropSpread(width), skewed: false, words: 'a drop spreader: all of it between the wheels' }
  if (method === 'spread')
    return { ...typicalSpread(width), skewed: false, words: 'a typical pattern, a guess: put out trays' }
  return typicalBoom(machine, width)
}

const onDay = (on: string): string => (on === '' ? '' : ` of ${dayText(on)}`)

function fromTrays(test: PatternBenchTest, method: 'spread' | 'spray'): ToldPattern | undefined {
  const read = method === 'spread' ? readPattern(test, fieldReader(), closedWorkingBook) : undefined
  if (!read) return undefined
  const { side } = skew(read.profile)
  return {
    source: 'trays',
    profile: read.profile,
    skewed: side !== 'even',
    words:
      `${read.profile.deposits.length} trays${onDay(test.on)}` +
      (side === 'even' ? '' : `, heavier on the ${side}`),
  }
}

function fromNozzles(test: NozzleBenchTest, method: 'spread' | 'spray'): ToldPattern | undefined {
  if (method === 'spread') return undefined
  const spacing = typedFigure(test.spacing, 'length')
  const flows = test.catches.flatMap((caught) => {
    const read = typedFigure(caught, 'volume', 'zero-too')
    return read ? [read.value * CUBIC_METRES_PER[read.unit]] : []
  })
  if (!spacing || flows.length < test.catches.length || !(Math.max(...flows) > 0)) return undefined
  const fan = readFan(test, lengthSi(spacing), fieldReader(), closedWorkingBook)
  return {
    ...nozzlePattern(flows, lengthSi(spacing), fan?.width, 'nozzles'),
    skewed: false,
    words: `${flows.length} nozzles caught${onDay(test.on)}${fan ? '' : ', fans as wide as two spacings'}`,
  }
}

/** Where no nozzle was caught: as many alike as the sprayer has. */
function typicalBoom(machine: EquipmentDocument | undefined, width: number): ToldPattern {
  const typed = machine?.kind === 'sprayer' ? typedFigure(machine.nozzles.spacing, 'length') : undefined
  const count = machine?.kind === 'sprayer' ? Number(machine.nozzles.count) : Number.NaN
  const spacing = typed ? lengthSi(typed) : undefined
  const nozzles =
    Number.isInteger(count) && count > 0
      ? Math.min(count, MOST_NOZZLES)
      : spacing
        ? Math.round(width / spacing)
        : 1
  return {
    ...nozzlePattern(
      Array.from({ length: Math.max(1, nozzles) }, () => 1),
      width / Math.max(1, nozzles),
      undefined,
      'typical boom',
    ),
    skewed: false,
    words: `${Math.max(1, nozzles)} nozzles all alike, a guess: catch each of them`,
  }
}
const MOST_NOZZLES = 60
