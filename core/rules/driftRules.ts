import { dropsAt, isFiner, pressureFor } from '../calibration/dropSize'
import { enteredWords } from '../quantity/enteredWords'
import type { Check } from './check'
import { byHouse, labelChecks, notedReading, ofSubject } from './judgedConditions'
import type { Rule } from './rule'
import type { RuleVisit, VisitedProduct } from './visit'

const overLabel = (line: VisitedProduct, visit: RuleVisit): readonly Check[] =>
  labelChecks(line, visit, 'wind', {
    code: 'wind-over-label',
    source: 'label, most wind',
    remedies: [{ label: 'Choose another day or hour', path: 'plannedFor' }],
  })

/** Wind by the house: the label's own limit is asked of each product. */
const ofHouse = (visit: RuleVisit): readonly Check[] =>
  ofSubject(byHouse(notedReading(visit), visit), 'wind', ({ message }) => ({
    code: 'wind',
    source: 'house, wind',
    message,
    remedies: [{ label: 'Read the wind again', path: 'lanes.wind' }],
  }))

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
    level: 'stop; a note from 7 mph; still air and wind over granules warn',
    looksAt: 'the wind as it was read for the work',
    limit: 'spray 10 mph, and not under 3 mph from before sunset until after sunrise; granules 15 mph',
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
