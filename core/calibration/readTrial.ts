import { amountFactor, lengthSi, metresPerSecond, type MetresPerSecond, type Quantity } from '../quantity/quantity'
import type { FieldReader } from '../quantity/fieldReader'
import { repeats, type Repeats } from '../quantity/repeats'
import { CUBIC_METRES_PER, isMassUnit, PASCALS_PER, SQUARE_METRES_PER, STOPWATCH_PER, type AmountUnit } from '../quantity/units'
import type { Dimension } from '../quantity/rateUnit'
import { asEntered, sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'
import { carrierOf, checkNozzles, pressureForFlow, speedForCarrier, flowForCarrier, type NozzleCheck } from './nozzleFlow'
import type { NozzleTrial, PatternTrial } from './trial'
import { depositProfile, effectiveSwath, FEWEST_TRAYS, halfRateWidth, skew, variation, type DepositProfile, type Swath } from './trayPattern'

export interface ReadPattern {
  readonly profile: DepositProfile
  readonly swath: Swath
  readonly half: number | undefined
  readonly skew: ReturnType<typeof skew>
  /** The lane spacing looked at: the one in mind, else the effective swath; undefined when neither is there. */
  readonly lane: number | undefined
  readonly cv: number | undefined
  /** Mean ground rate of one pass at that lane spacing, SI amount on each m2; undefined without tray size or passes. */
  readonly rate: { readonly perArea: number; readonly dimension: Dimension } | undefined
}

/** Reads a tray test; undefined until its spacing and catches can be read. */
export function readPattern(trial: PatternTrial, fields: FieldReader, book: WorkingBook): ReadPattern | undefined {
  const spacing = fields.positive('document.spacing', trial.spacing, 'length', 'Tray spacing')
  const limit = fields.positive('document.limit', trial.limit, 'percent', 'CV limit')
  const lane = fields.optional('document.lane', trial.lane, 'length', 'Lane spacing', 'above-zero')
  const catches = trial.catches.map((entered, i) => fields.notNegative(`document.catches.${i}`, entered, 'amount', `Tray ${i + 1}`))
  if (catches.length < FEWEST_TRAYS) fields.missing('document.catches', `At least ${FEWEST_TRAYS} trays show a pattern.`)
  const read = catches.filter((one) => one !== undefined)
  if (!spacing || !limit || read.length < catches.length || read.length < FEWEST_TRAYS) return undefined
  if (new Set(read.map(({ unit }) => isMassUnit(unit))).size > 1) {
    fields.wrong('document.catches.0', 'Some trays are weighed and some are measured by volume: take all the same way.')
    return undefined
  }
  const profile = depositProfile({ catches: read.map(({ value, unit }) => value * amountFactor(unit)), spacing: lengthSi(spacing) })
  if (!profile.ok) {
    fields.wrong('document.catches.0', 'No tray caught anything: there is no pattern to look at.')
    return undefined
  }
  const swath = effectiveSwath(profile.value, trial.travel, limit.value / 100, 'swath', book)
  const chosen = lane ? lengthSi(lane) : swath.swath
  return {
    profile: profile.value, swath, half: halfRateWidth(profile.value), skew: skew(profile.value), lane: chosen,
    cv: chosen === undefined ? undefined : variation(profile.value, chosen, trial.travel),
    rate: chosen === undefined ? undefined : rateOf(trial, read, chosen, lengthSi(spacing), fields, book),
  }
}

/** All that a tray's strip of ground got, over the lane it belongs to: sum of catches / (tray area x passes) x spacing / lane. */
function rateOf({ tray, passes }: PatternTrial, catches: readonly Quantity<AmountUnit>[], lane: number, spacing: number, fields: FieldReader, book: WorkingBook): ReadPattern['rate'] {
  const width = fields.optional('document.tray.width', tray.width, 'length', 'Tray width', 'above-zero')
  const length = fields.optional('document.tray.length', tray.length, 'length', 'Tray length', 'above-zero')
  const count = passes.trim() === '' ? undefined : Number(passes)
  if (count !== undefined && !(Number.isInteger(count) && count > 0)) fields.wrong('document.passes', 'Passes are a whole number: 3.')
  if (!width || !length || !count || !Number.isInteger(count)) return undefined
  const sum = catches.reduce((total, { value, unit }) => total + value * amountFactor(unit), 0)
  const perArea = (sum / (lengthSi(width) * lengthSi(length) * count)) * (spacing / lane)
  const unit = catches[0]?.unit ?? 'g'
  book.note('pattern.rate', () => [
    `caught together ${sixDigits(sum / amountFactor(unit))} ${unit} in trays of ${asEntered(width)} x ${asEntered(length)} on ${count} passes`,
    `lanes ${sixDigits(lane)} m apart, trays every ${sixDigits(spacing)} m`,
    `mean of one pass ${sixDigits((perArea / amountFactor(unit)) * SQUARE_METRES_PER['1000 ft2'])} ${unit}/1000 ft2`,
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
  /** What reaches the carrier wanted, the rest held. */
  readonly asked: {
    readonly carrier: number
    readonly speed: MetresPerSecond
    readonly pressure: ReturnType<typeof pressureForFlow> | undefined
  } | undefined
}

/** Reads a nozzle check; undefined until time and catches can be read. Speed, carrier and what is asked follow as far as they are known. */
export function readNozzles(trial: NozzleTrial, fields: FieldReader, book: WorkingBook): ReadNozzles | undefined {
  const time = fields.positive('document.time', trial.time, 'stopwatch', 'Time')
  const catches = trial.catches.map((entered, i) => fields.notNegative(`document.catches.${i}`, entered, 'volume', `Nozzle ${i + 1}`))
  const rated = fields.optional('document.rated', trial.rated, 'volume', 'A new one gives', 'above-zero')
  const spacing = fields.optional('document.spacing', trial.spacing, 'length', 'Nozzle spacing', 'above-zero')
  const speed = readSpeed(trial, fields, book)
  const read = catches.filter((one) => one !== undefined)
  if (!time || read.length < catches.length) return undefined
  const seconds = time.value * STOPWATCH_PER[time.unit]
  const check = checkNozzles({ flows: read.map(({ value, unit }) => (value * CUBIC_METRES_PER[unit]) / seconds), ...(rated && { rated: (rated.value * CUBIC_METRES_PER[rated.unit]) / 60 }) })
  if (!check) {
    fields.wrong('document.catches.0', 'Nothing was caught: is the pump on?')
    return undefined
  }
  const width = spacing && lengthSi(spacing) * read.length
  const carrier = width && speed ? carrierOf({ flow: check.total, width, speed: speed.mean }, 'carrier', book) : undefined
  return { check, width, speed, carrier, asked: askedOf(trial, check.total, width, speed?.mean, fields, book) }
}

function readSpeed({ course }: NozzleTrial, fields: FieldReader, book: WorkingBook): Repeats | undefined {
  const length = fields.optional('document.course.length', course.length, 'length', 'Course length', 'above-zero')
  const times = course.times.map((entered, i) => fields.optional(`document.course.times.${i}`, entered, 'stopwatch', `Time ${i + 1}`, 'above-zero')).filter((time) => time !== undefined)
  if (!length || times.length === 0) return undefined
  const speeds = repeats(times.map((time) => lengthSi(length) / (time.value * STOPWATCH_PER[time.unit])))
  book.note('speed', () => [
    ...times.map((time) => `${asEntered(length)} in ${asEntered(time)}`),
    speeds.sd === undefined ? 'one run shows no spread' : `spread of ${speeds.count} runs ${sixDigits((100 * speeds.sd) / speeds.mean)} % of the mean`,
    `speed ${sixDigits(speeds.mean)} m/s = ${sixDigits(speeds.mean * 3.6)} km/h`,
  ])
  return speeds
}

function askedOf({ wanted, pressure }: NozzleTrial, flow: number, width: number | undefined, speed: number | undefined, fields: FieldReader, book: WorkingBook): ReadNozzles['asked'] {
  const carrierWanted = fields.optional('document.wanted', wanted, 'carrier', 'Carrier wanted', 'above-zero')
  const [now, low, high] = (['now', 'low', 'high'] as const).map((name) => fields.optional(`document.pressure.${name}`, pressure[name], 'pressure', { now: 'Pressure', low: 'Least pressure', high: 'Highest pressure' }[name], 'above-zero'))
  if (!carrierWanted || !width) return undefined
  const [amount, ground] = carrierWanted.unit.split('/') as [keyof typeof CUBIC_METRES_PER, keyof typeof SQUARE_METRES_PER]
  const carrier = (carrierWanted.value * CUBIC_METRES_PER[amount]) / SQUARE_METRES_PER[ground]
  const needed = metresPerSecond(speedForCarrier(carrier, { flow, width }))
  const pascals = (one: typeof now) => (one ? one.value * PASCALS_PER[one.unit] : undefined)
  const [at, least, most] = [pascals(now), pascals(low), pascals(high)]
  book.note('asked', () => [
    `wanted ${asEntered(carrierWanted)}`, `flow ${sixDigits(flow * 60_000)} L/min over ${sixDigits(width)} m`,
    `speed = flow / (carrier x width) = ${sixDigits(needed)} m/s = ${sixDigits(needed * 3.6)} km/h`,
  ])
  return {
    carrier, speed: needed,
    pressure: at && least && most && speed ? pressureForFlow(flow, at, flowForCarrier(carrier, { width, speed }), { low: least, high: most }) : undefined,
  }
}
