import { NOZZLE_FIELDS } from './benchTestFields'
import { lengthSi, speedSi } from '../quantity/quantity'
import type { FieldReader } from '../quantity/fieldReader'
import { CUBIC_METRES_PER, PASCALS_PER, RADIANS_PER, SQUARE_METRES_PER } from '../quantity/units'
import type { Result } from '../result'
import { asEntered, sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'
import { paceOf } from './anotherSpeed'
import { nozzleOverlap, pressureForFlow, sprayWidth } from './nozzleFlow'
import { solveBoom, type BoomAnswer, type BoomError, type BoomUnknown, type KnownNozzle } from './solveBoom'
import type { NozzleBenchTest } from './benchTestShape'

export interface BoomAsk {
  readonly unknown: BoomUnknown
  readonly answer: Result<BoomAnswer, BoomError>
  /** Carrier that is wanted, m3 on each m2; undefined where it is the unknown. */
  readonly carrier: number | undefined
  /** Whether a speed that was asked for is near enough to the one timed; undefined where neither is known. */
  readonly pace: 'trusted' | 'questioned' | undefined
  /** The other way out where a speed is asked for: the pressure that would do at the speed timed. */
  readonly pressure: ReturnType<typeof pressureForFlow> | undefined
}

/** What was measured with the nozzles, SI; what is asked holds the rest. @param flow of one nozzle, m3/s */
export interface Measured {
  readonly flow: number
  readonly spacing: number | undefined
  readonly speed: number | undefined
}

/**
 * The question of a nozzle check: one unknown, the others as measured or as typed instead. Undefined while no
 * carrier is wanted.
 */
export function readBoomAsk(
  { wanted, pressure, ask }: NozzleBenchTest,
  { flow, spacing, speed }: Measured,
  fields: FieldReader,
  book: WorkingBook,
): BoomAsk | undefined {
  const asked = fields.of(NOZZLE_FIELDS, 'document')
  const carrierWanted = asked.optional('wanted', wanted)
  const [now, low, high] = (['now', 'low', 'high'] as const).map((name) => {
    const read = asked.optional(`pressure.${name}`, pressure[name])
    return read && read.value * PASCALS_PER[read.unit]
  })
  const otherSpeed = asked.optional('ask.speed', ask?.speed)
  const otherSpacing = asked.optional('ask.spacing', ask?.spacing)
  const otherPressure = asked.optional('ask.pressure', ask?.pressure)
  const gravity = gravityOf(ask?.gravity ?? '', fields)
  const unknown = ask?.unknown ?? 'speed'
  if (gravity === undefined || (unknown !== 'carrier' && !carrierWanted)) return undefined
  const carrier = carrierWanted && carrierSi(carrierWanted)
  const nozzle: KnownNozzle = {
    flow,
    ...(now && { pressure: now }),
    ...(low && high && { range: { low, high } }),
  }
  const [at, apart, pressed] = [
    otherSpeed ? speedSi(otherSpeed) : speed,
    otherSpacing ? lengthSi(otherSpacing) : spacing,
    otherPressure && otherPressure.value * PASCALS_PER[otherPressure.unit],
  ]
  const held = {
    gravity,
    ...(carrier !== undefined && { carrier }),
    ...(at !== undefined && { speed: at }),
    ...(apart !== undefined && { spacing: apart }),
    ...(pressed !== undefined && { pressure: pressed }),
  }
  const answer = solveBoom(unknown, nozzle, held, 'asked', book)
  const other =
    unknown === 'speed' && carrier && at && apart && nozzle.pressure && nozzle.range
      ? pressureForFlow(flow, nozzle.pressure, carrier * at * apart * Math.sqrt(gravity), nozzle.range)
      : undefined
  const pace =
    unknown === 'speed' && answer.ok && speed !== undefined ? paceOf(answer.value.value, speed) : undefined
  return { unknown, answer, pace, carrier: unknown === 'carrier' ? undefined : carrier, pressure: other }
}

function carrierSi({ value, unit }: { readonly value: number; readonly unit: string }): number {
  const [amount, ground] = unit.split('/') as [keyof typeof CUBIC_METRES_PER, keyof typeof SQUARE_METRES_PER]
  return (value * CUBIC_METRES_PER[amount]) / SQUARE_METRES_PER[ground]
}

/** Blank: water. */
function gravityOf(text: string, fields: FieldReader): number | undefined {
  const value = text.trim() === '' ? 1 : Number(text)
  if (Number.isFinite(value) && value >= 0.5 && value <= 2.5) return value
  fields.wrong(
    'document.ask.gravity',
    'Specific gravity is near 1: water 1, a heavy fertilizer solution 1.3.',
  )
  return undefined
}

/** A fan narrower than this share of overlap leaves stripes (house default for flat fans). */
export const LEAST_OVERLAP = 0.3

export interface Fan {
  readonly width: number
  readonly overlap: number | undefined
  readonly state: 'covered' | 'thin' | 'gap' | undefined
}

/**
 * Width of one fan at its height and angle, and how much of it its neighbours cover too. Source: trade.md 4,
 * 2 h tan(angle / 2).
 */
export function readFan(
  { fan }: NozzleBenchTest,
  spacing: number | undefined,
  fields: FieldReader,
  book: WorkingBook,
): Fan | undefined {
  const at = fields.of(NOZZLE_FIELDS, 'document')
  const height = at.optional('fan.height', fan?.height)
  const angle = at.optional('fan.angle', fan?.angle)
  if (!height || !angle) return undefined
  if (angle.value >= 180) {
    fields.wrong('document.fan.angle', 'A fan opens less than 180°: 80° or 110°.')
    return undefined
  }
  const [up, open] = [lengthSi(height), angle.value * RADIANS_PER['°']]
  const overlap = spacing === undefined ? undefined : nozzleOverlap(up, open, spacing)
  const width = sprayWidth(up, open)
  book.note('fan', () => [
    `height ${asEntered(height)}, angle ${asEntered(angle)}`,
    `width = 2 x height x tan(angle / 2) = ${sixDigits(width)} m`,
    ...(overlap === undefined
      ? []
      : [
          `overlap = 1 - spacing / width = 1 - ${sixDigits(spacing ?? 0)} / ${sixDigits(width)} = ` +
            `${sixDigits(100 * overlap)} %`,
        ]),
  ])
  return {
    width,
    overlap,
    state:
      overlap === undefined ? undefined : overlap < 0 ? 'gap' : overlap < LEAST_OVERLAP ? 'thin' : 'covered',
  }
}
