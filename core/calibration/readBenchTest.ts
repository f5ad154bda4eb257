import { NOZZLE_FIELDS, PATTERN_FIELDS } from './benchTestFields'
import { amountFactor, lengthSi, type Quantity } from '../quantity/quantity'
import type { FieldReader } from '../quantity/fieldReader'
import { withoutTrailingBlanks } from '../quantity/readings'
import type { Repeats } from '../quantity/repeats'
import {
  CUBIC_METRES_PER,
  isMassUnit,
  SQUARE_METRES_PER,
  STOPWATCH_PER,
  type AmountUnit,
} from '../quantity/units'
import type { Dimension } from '../quantity/rateUnit'
import { asEntered, sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'
import { carrierOf, checkNozzles, type NozzleCheck } from './nozzleFlow'
import { readBoomAsk, readFan, type BoomAsk, type Fan } from './readBoomAsk'
import { readTimedCourse } from './readSpeed'
import type { NozzleBenchTest, PatternBenchTest } from './benchTestShape'
import {
  depositProfile,
  effectiveSwath,
  FEWEST_TRAYS,
  halfRateWidth,
  skew,
  trayEdges,
  variation,
  type DepositProfile,
  type Swath,
} from './trayPattern'

export interface ReadPattern {
  readonly profile: DepositProfile
  readonly swath: Swath
  readonly half: number | undefined
  /** Whether the trays end where something was still caught. */
  readonly edges: ReturnType<typeof trayEdges>
  readonly skew: ReturnType<typeof skew>
  /**
   * The lane spacing looked at: the one in mind, else the effective swath; undefined when neither is there.
   */
  readonly lane: number | undefined
  readonly cv: number | undefined
  /**
   * Mean ground rate of one pass at that lane spacing, SI amount on each m2; undefined without tray size or
   * passes.
   */
  readonly rate: { readonly perArea: number; readonly dimension: Dimension } | undefined
}

/** Reads a tray test; undefined until its spacing and catches can be read. */
export function readPattern(
  trial: PatternBenchTest,
  fields: FieldReader,
  book: WorkingBook,
): ReadPattern | undefined {
  const at = fields.of(PATTERN_FIELDS, 'document')
  const spacing = at.needed('spacing', trial.spacing)
  const limit = at.needed('limit', trial.limit)
  const lane = at.optional('lane', trial.lane)
  const catches = withoutTrailingBlanks(trial.catches, FEWEST_TRAYS).map((entered, i) =>
    at.needed('catches.*', entered, i, `Tray ${i + 1}`),
  )
  if (catches.length < FEWEST_TRAYS)
    fields.missing('document.catches', `At least ${FEWEST_TRAYS} trays show a pattern.`)
  const read = catches.filter((one) => one !== undefined)
  if (!spacing || !limit || read.length < catches.length || read.length < FEWEST_TRAYS) return undefined
  if (new Set(read.map(({ unit }) => isMassUnit(unit))).size > 1) {
    fields.wrong(
      'document.catches.0',
      'Some trays are weighed and some are measured by volume: take all the same way.',
    )
    return undefined
  }
  const profile = depositProfile({
    catches: read.map(({ value, unit }) => value * amountFactor(unit)),
    spacing: lengthSi(spacing),
  })
  if (!profile.ok) {
    fields.wrong('document.catches.0', 'No tray caught anything: there is no pattern to look at.')
    return undefined
  }
  const swath = effectiveSwath(profile.value, trial.travel, limit.value / 100, 'swath', book)
  const chosen = lane ? lengthSi(lane) : swath.swath
  return {
    profile: profile.value,
    swath,
    half: halfRateWidth(profile.value, 'half', book),
    edges: trayEdges(profile.value),
    skew: skew(profile.value),
    lane: chosen,
    cv: chosen === undefined ? undefined : variation(profile.value, chosen, trial.travel),
    rate: chosen === undefined ? undefined : rateOf(trial, read, chosen, lengthSi(spacing), fields, book),
  }
}

/**
 * All that a tray's strip of ground got, over the lane it belongs to: sum of catches / (tray area x passes) x
 * spacing / lane.
 */
function rateOf(
  { tray, passes }: PatternBenchTest,
  catches: readonly Quantity<AmountUnit>[],
  lane: number,
  spacing: number,
  fields: FieldReader,
  book: WorkingBook,
): ReadPattern['rate'] {
  const at = fields.of(PATTERN_FIELDS, 'document')
  const width = at.optional('tray.width', tray.width)
  const length = at.optional('tray.length', tray.length)
  const count = passes.trim() === '' ? undefined : Number(passes)
  if (count !== undefined && !(Number.isInteger(count) && count > 0))
    fields.wrong('document.passes', 'Passes are a whole number: 3.')
  if (!width || !length || !count || !Number.isInteger(count)) return undefined
  const sum = catches.reduce((total, { value, unit }) => total + value * amountFactor(unit), 0)
  const perArea = (sum / (lengthSi(width) * lengthSi(length) * count)) * (spacing / lane)
  const unit = catches[0]?.unit ?? 'g'
  book.note('pattern.rate', () => [
    `caught together ${sixDigits(sum / amountFactor(unit))} ${unit} in trays of ${asEntered(width)} x ` +
      `${asEntered(length)} on ${count} passes`,
    `lanes ${sixDigits(lane)} m apart, trays every ${sixDigits(spacing)} m`,
    `mean of one pass ${sixDigits((perArea / amountFactor(unit)) * SQUARE_METRES_PER['1000 ft2'])} ` +
      `${unit}/1000 ft2`,
  ])
  return { perArea, dimension: isMassUnit(unit) ? 'mass' : 'volume' }
}

export interface ReadNozzles {
  readonly check: NozzleCheck
  /** m; undefined without a spacing. */
  readonly width: number | undefined
  readonly speed: Repeats | undefined
  /** m3 on each m2 at that speed. */
  readonly carrier: number | undefined
  /** What reaches the carrier wanted, or what was asked for instead. */
  readonly asked: BoomAsk | undefined
  readonly fan: Fan | undefined
}

/**
 * Reads a nozzle check; undefined until time and catches can be read. Speed, carrier and what is asked follow
 * as far as they are known.
 */
export function readNozzles(
  trial: NozzleBenchTest,
  fields: FieldReader,
  book: WorkingBook,
): ReadNozzles | undefined {
  const at = fields.of(NOZZLE_FIELDS, 'document')
  const time = at.needed('time', trial.time)
  const catches = withoutTrailingBlanks(trial.catches, 1).map((entered, i) =>
    at.needed('catches.*', entered, i, `Nozzle ${i + 1}`),
  )
  const rated = at.optional('rated', trial.rated)
  const spacing = at.optional('spacing', trial.spacing)
  const speed = readTimedCourse(trial.course, 'document.course', 'speed', fields, book)
  const read = catches.filter((one) => one !== undefined)
  if (!time || read.length < catches.length) return undefined
  const seconds = time.value * STOPWATCH_PER[time.unit]
  const check = checkNozzles({
    flows: read.map(({ value, unit }) => (value * CUBIC_METRES_PER[unit]) / seconds),
    ...(rated && { rated: (rated.value * CUBIC_METRES_PER[rated.unit]) / 60 }),
  })
  if (!check) {
    fields.wrong('document.catches.0', 'Nothing was caught: is the pump on?')
    return undefined
  }
  const width = spacing && lengthSi(spacing) * read.length
  const carrier =
    width && speed ? carrierOf({ flow: check.total, width, speed: speed.mean }, 'carrier', book) : undefined
  const apart = spacing && lengthSi(spacing)
  return {
    check,
    width,
    speed,
    carrier,
    asked: readBoomAsk(
      trial,
      { flow: check.total / read.length, spacing: apart, speed: speed?.mean },
      fields,
      book,
    ),
    fan: readFan(trial, apart, fields, book),
  }
}
