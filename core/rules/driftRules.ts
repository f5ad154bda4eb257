import { typedFigure } from '../quantity/entered'
import { fromMph } from '../quantity/speed'
import { dropsAt, isFiner, pressureFor } from '../calibration/dropSize'
import { enteredWords } from '../quantity/enteredWords'
import { formatFigure } from '../quantity/format'
import { speedSi } from '../quantity/quantity'
import { ROUNDING } from '../quantity/tolerance'
import type { Check } from './check'
import type { Rule } from './rule'
import type { RuleVisit, VisitedProduct } from './visit'

/** House limits of wind, mph: stop above, note above, and too still. Source: trade.md 7. */
const WIND = { stop: 10, note: 7, still: 3 } as const

/** Wind as it was typed for the work, m/s. */
function typedWind({
  draft: { lanes },
}: RuleVisit): { readonly speed: number; readonly told: string } | undefined {
  const read = lanes && typedFigure(lanes.wind, 'speed', 'zero-too')
  return read && { speed: speedSi(read), told: `${formatFigure(read.value)} ${read.unit}` }
}

function overLabel(line: VisitedProduct, visit: RuleVisit): readonly Check[] {
  const wind = typedWind(visit)
  const most = line.says.figures.windMost
  if (!wind || !most || wind.speed <= speedSi(most) + ROUNDING) return []
  return [
    {
      level: 'stop',
      code: 'wind-over-label',
      productId: line.note.id,
      source: 'label, most wind',
      message:
        `Wind of ${wind.told}: ${line.product.name} goes down up to ${formatFigure(most.value)} ` +
        `${most.unit}.`,
      remedies: [{ label: 'Choose another day or hour', path: 'plannedFor' }],
    },
  ]
}

/** Spray in wind by the house: the label's own limit is asked of each product. */
function ofHouse(visit: RuleVisit): readonly Check[] {
  const wind = typedWind(visit)
  if (!wind || visit.draft.method !== 'spray') return []
  const check = (level: Check['level'], message: string): readonly Check[] => [
    {
      level,
      code: 'wind',
      source: 'house, wind while spraying',
      message,
      remedies: [{ label: 'Read the wind again', path: 'lanes.wind' }],
    },
  ]
  const least = `${WIND.stop} mph`
  if (wind.speed > fromMph(WIND.stop) + ROUNDING)
    return check(
      'stop',
      `Wind of ${wind.told} is over the ${least} at which spraying stops: wait for less, or another day.`,
    )
  if (wind.speed > fromMph(WIND.note) + ROUNDING)
    return check('note', `Wind of ${wind.told}: keep the boom low, coarse drops, and off the downwind edge.`)
  return wind.speed < fromMph(WIND.still) - ROUNDING
    ? check(
        'warn',
        `Wind of ${wind.told} near sunrise or sunset is still air: fine spray hangs in it and drifts far. ` +
          'Wait for a light, steady wind.',
      )
    : []
}

/** What makes coarser drops or keeps them down. Source: trade.md 4. */
const OTHER_WAYS = 'coarser nozzles, a lower boom, a shield, or less wind'

function dropsOf(visit: RuleVisit): readonly Check[] {
  const { draft, lines } = visit
  if (draft.method !== 'spray') return []
  const asking = lines.flatMap((one) => (one.line.drops ? [{ ...one, drops: one.line.drops }] : []))
  const [strictest] = asking.toSorted((a, b) => (isFiner(a.drops, b.drops) ? 1 : -1))
  if (!strictest) return []
  const { drops } = strictest
  const asked = `${strictest.product.name} asks for ${drops} drops or coarser`
  const { pressure } = draft.spray.calibration
  const rows = draft.spray.nozzles?.drops ?? []
  const size = dropsAt(rows, pressure)
  const at = enteredWords(pressure)
  if (!size)
    return [
      {
        level: 'warn',
        code: 'drops-unknown',
        productId: strictest.note.id,
        source: 'label, size of the drops',
        message:
          `${asked}; what these nozzles give${at === '' ? '' : ` at ${at}`} is not known. ` +
          (at ? 'Type it from the nozzles’ own sheet.' : 'Note the pressure it was calibrated at.'),
        remedies: [{ label: 'Look at the calibration', path: 'spray.calibration' }],
      },
    ]
  if (!isFiner(size, drops)) return []
  const lower = pressureFor(rows, drops)
  return [
    {
      level: 'stop',
      code: 'drops-too-fine',
      productId: strictest.note.id,
      source: 'label, size of the drops',
      message:
        `${asked}; at ${at} these nozzles give ${size} ones. ` +
        (lower
          ? `At ${enteredWords(lower.pressure)} they give ${lower.size}: calibrate there. Else ${OTHER_WAYS}.`
          : `No pressure on their sheet does: take ${OTHER_WAYS}.`),
      remedies: [{ label: 'Look at the calibration', path: 'spray.calibration' }],
    },
  ]
}

export const DRIFT_RULES: readonly Rule[] = [
  {
    needs: 'visit',
    codes: ['wind-over-label'],
    level: 'stop',
    looksAt: 'the wind as it was read for the work',
    limit: 'the label’s most',
    source: 'label',
    find: (visit) => visit.lines.flatMap((line) => overLabel(line, visit)),
  },
  {
    needs: 'visit',
    codes: ['wind'],
    level: 'stop; a note from 7 mph; still air warns',
    looksAt: 'the wind as it was read for the work, where something is sprayed',
    limit: '10 mph, and not under 3 mph near sunrise and sunset',
    source: 'house',
    find: ofHouse,
  },
  {
    needs: 'visit',
    codes: ['drops-too-fine', 'drops-unknown'],
    level: 'stop; what is not known warns',
    looksAt: 'the drops of the nozzles at the calibrated pressure, by their own sheet',
    limit: 'the class that the label asks for',
    source: 'label',
    find: dropsOf,
  },
]
