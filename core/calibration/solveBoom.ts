import type { Figure } from '../working/figures'
import { CUBIC_METRES_PER, METRES_PER, METRES_PER_SECOND_PER, SQUARE_METRES_PER } from '../quantity/units'
import { err, ok, type Result } from '../result'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import {
  carrierOf,
  flowAtPressure,
  flowForCarrier,
  flowOfSolution,
  pressureForFlow,
  speedForCarrier,
  widthForCarrier,
  type PressureRange,
} from './nozzleFlow'

export const BOOM_UNKNOWNS = ['speed', 'pressure', 'flow', 'spacing', 'carrier'] as const
export type BoomUnknown = (typeof BOOM_UNKNOWNS)[number]

/** A nozzle as it was caught, with water; SI. */
export interface KnownNozzle {
  /** m3/s of one nozzle. */
  readonly flow: number
  /** Pressure at which it was caught, Pa, and the range it works in. */
  readonly pressure?: number
  readonly range?: PressureRange
}

/** What is held; SI. The unknown's own entry is not looked at. */
export interface BoomHeld {
  readonly carrier?: number
  readonly speed?: number
  readonly spacing?: number
  /** Pressure of the work, if not the one caught at. */
  readonly pressure?: number
  /** Specific gravity of the spray; water 1. */
  readonly gravity: number
}

/** House limits of what is practical; the nozzle's own range is its maker's. */
const BOOM_LIMITS: Readonly<Record<Exclude<BoomUnknown, 'pressure'>, PressureRange>> = {
  speed: { low: METRES_PER_SECOND_PER.mph, high: 6 * METRES_PER_SECOND_PER.mph },
  flow: { low: (0.05 * CUBIC_METRES_PER.gal) / 60, high: (2 * CUBIC_METRES_PER.gal) / 60 },
  spacing: { low: 10 * METRES_PER.in, high: 40 * METRES_PER.in },
  carrier: {
    low: (0.1 * CUBIC_METRES_PER.gal) / SQUARE_METRES_PER['1000 ft2'],
    high: (12 * CUBIC_METRES_PER.gal) / SQUARE_METRES_PER['1000 ft2'],
  },
}

export interface BoomAnswer {
  /** In SI of the unknown: m/s, Pa, m3/s of water through one nozzle, m, m3 on each m2. */
  readonly value: number
  readonly limits: PressureRange
  readonly state: 'practical' | 'too low' | 'too high'
}

/** `missing`: that figure has to be known first. `outOfRange`: the nozzle does not work at that pressure. */
export type BoomError =
  | { readonly kind: 'missing'; readonly what: 'carrier' | 'speed' | 'spacing' | 'pressure' | 'range' }
  | { readonly kind: 'outOfRange'; readonly range: PressureRange }

/**
 * The one unknown of a boom, the others held: carrier = flow / (speed x spacing), flow with the root of the
 * pressure, and less of a heavier liquid.
 * Source: trade.md 4 (solve for any one unknown; Q2 = Q1 sqrt(P2/P1) only inside the nozzle's range; divide
 * by the root of specific gravity).
 */
export function solveBoom(
  unknown: BoomUnknown,
  nozzle: KnownNozzle,
  held: BoomHeld,
  figure: Figure,
  book: WorkingBook,
): Result<BoomAnswer, BoomError> {
  const { carrier, speed, spacing, gravity } = held
  const missing = (['carrier', 'speed', 'spacing'] as const).find(
    (name) => name !== unknown && held[name] === undefined,
  )
  if (missing) return err({ kind: 'missing', what: missing })
  const [on, at, apart] = [carrier ?? 0, speed ?? 0, spacing ?? 0]
  // What the nozzle must be able to give of water, for the solution to run as wanted.
  const needed = flowForCarrier(on, { width: apart, speed: at }) * Math.sqrt(gravity)
  if (unknown === 'pressure') return pressureAnswer(nozzle, needed, figure, book)
  if (unknown === 'flow')
    return answered(
      'flow',
      needed,
      figure,
      book,
      `flow of water = carrier x speed x spacing x root of ${sixDigits(gravity)} = ` +
        `${sixDigits(needed * 60_000)} L/min`,
    )
  const through = flowThrough(nozzle, held)
  if (!through.ok) return through
  const flow = flowOfSolution(through.value, gravity)
  switch (unknown) {
    case 'speed': {
      const value = speedForCarrier(on, { flow, width: apart })
      return answered(
        'speed',
        value,
        figure,
        book,
        `speed = flow / (carrier x spacing) = ${sixDigits(3.6 * value)} km/h`,
        flow,
      )
    }
    case 'spacing': {
      const value = widthForCarrier(on, { flow, speed: at })
      return answered(
        'spacing',
        value,
        figure,
        book,
        `spacing = flow / (carrier x speed) = ${sixDigits(value)} m`,
        flow,
      )
    }
    case 'carrier': {
      const value = carrierOf({ flow, width: apart, speed: at }, '', closedWorkingBook)
      return answered(
        'carrier',
        value,
        figure,
        book,
        `carrier = flow / (speed x spacing) = ${sixDigits(1e7 * value)} L/ha`,
        flow,
      )
    }
    default:
      return unknown satisfies never
  }
}

function flowThrough(nozzle: KnownNozzle, { pressure }: BoomHeld): Result<number, BoomError> {
  if (pressure === undefined || pressure === nozzle.pressure) return ok(nozzle.flow)
  if (nozzle.pressure === undefined) return err({ kind: 'missing', what: 'pressure' })
  if (!nozzle.range) return err({ kind: 'missing', what: 'range' })
  const moved = flowAtPressure(nozzle.flow, nozzle.pressure, pressure, nozzle.range)
  return moved === undefined ? err({ kind: 'outOfRange', range: nozzle.range }) : ok(moved)
}

function pressureAnswer(
  { flow, pressure, range }: KnownNozzle,
  needed: number,
  figure: Figure,
  book: WorkingBook,
): Result<BoomAnswer, BoomError> {
  if (pressure === undefined) return err({ kind: 'missing', what: 'pressure' })
  if (!range) return err({ kind: 'missing', what: 'range' })
  const answer = pressureForFlow(flow, pressure, needed, range)
  book.note(figure, () => [
    `each nozzle gives ${sixDigits(flow * 60_000)} L/min at ${sixDigits(pressure / 1e5)} bar and must ` +
      `give ${sixDigits(needed * 60_000)}`,
    `pressure = ${sixDigits(pressure / 1e5)} x (${sixDigits(needed / flow)})^2 = ` +
      `${sixDigits(answer.pressure / 1e5)} bar`,
  ])
  return ok({
    value: answer.pressure,
    limits: range,
    state: answer.within === 'range' ? 'practical' : answer.within === 'too-low' ? 'too low' : 'too high',
  })
}

function answered(
  unknown: Exclude<BoomUnknown, 'pressure'>,
  value: number,
  figure: Figure,
  book: WorkingBook,
  words: string,
  flow?: number,
): Result<BoomAnswer, BoomError> {
  const limits = BOOM_LIMITS[unknown]
  book.note(figure, () => [
    ...(flow === undefined ? [] : [`each nozzle gives ${sixDigits(flow * 60_000)} L/min of this spray`]),
    words,
  ])
  return ok({
    value,
    limits,
    state: value < limits.low ? 'too low' : value > limits.high ? 'too high' : 'practical',
  })
}
