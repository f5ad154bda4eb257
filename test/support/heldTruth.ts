import { calibrateRuns, type CalibrationRequest } from '../../core/calibration/calibrateRuns'
import { flowAt, settingCurve } from '../../core/calibration/settingCurve'
import type { SettingPoint } from '../../core/calibration/settingPoint'
import type { GroundRequest, MeasuredPart } from '../../core/ground/measureGround'
import { measureGround } from '../../core/ground/measureGround'
import { drawsFrom, normal } from '../../core/quantity/draws'

/**
 * How often a stated doubt holds the truth: ground of a known size, measured with seeded errors of the sort
 * that instruments have, and two standard deviations of what is answered.
 */
export interface HeldTruth {
  readonly of: number
  /** Share of the truths that lay within give or take. */
  readonly held: number
}

type Draw = () => number
const FOOT = 0.3048
const between = (draw: Draw, low: number, high: number) => low + draw() * (high - low)
const rounded = (value: number, step: number) => Math.round(value / step) * step

interface Trial {
  readonly truth: number
  readonly request: GroundRequest
}

const part = (fields: Partial<Extract<MeasuredPart, { by: 'method' }>>): MeasuredPart => ({
  sign: 'add',
  by: 'method',
  method: 'rectangle',
  fixed: [],
  list: [],
  rule: '',
  ...fields,
})
const feet = (metres: number) => ({ value: rounded(metres / FOOT, 0.1), unit: 'ft' as const })

/** A tape or a wheel: long or short by one share everywhere, and each length read for itself. */
const reader = (draw: Draw, scaleSd: number) => {
  const scale = 1 + normal(draw, scaleSd)
  return (length: number) => feet(Math.max(0, length * scale + normal(draw, 0.1 * FOOT)))
}

function rectangle(draw: Draw, instrument: 'tape' | 'wheel'): Trial {
  const [length, width] = [between(draw, 8, 40), between(draw, 6, 25)]
  const read = reader(draw, instrument === 'tape' ? 0.005 : 0.01)
  return {
    truth: length * width,
    request: {
      instrument,
      parts: [
        part({
          fixed: [
            { name: 'length', length: read(length) },
            { name: 'width', length: read(width) },
          ],
        }),
      ],
    },
  }
}

/** Whole paces of a stride that was tried over a taped hundred feet a few times. */
function paced(draw: Draw, runs: number): Trial {
  const stride = between(draw, 0.65, 0.95)
  const tape = 1 + normal(draw, 0.005)
  const walk = (length: number) => Math.round(length / (stride * (1 + normal(draw, 0.015))))
  const [length, width] = [between(draw, 15, 45), between(draw, 12, 30)]
  return {
    truth: length * width,
    request: {
      instrument: 'paced',
      tool: {
        distance: { value: 100, unit: 'ft' },
        runs: Array.from({ length: runs }, () => walk(100 * FOOT * tape)),
      },
      parts: [
        part({
          fixed: [
            { name: 'length', length: { value: walk(length), unit: 'paces' } },
            { name: 'width', length: { value: walk(width), unit: 'paces' } },
          ],
        }),
      ],
    },
  }
}

/** An edge that bends and wanders: waves ever shorter, each weaker than the one before. */
function wander(draw: Draw, waves: number): (turn: number) => number {
  const roughness = between(draw, 1.2, 1.8)
  const each = Array.from({ length: waves }, (_, i) => ({
    size: normal(draw, 1) * (i + 1) ** -roughness,
    turn: draw() * 2 * Math.PI,
  }))
  return (turn) =>
    each.reduce((sum, { size, turn: start }, i) => sum + size * Math.cos((i + 1) * turn + start), 0)
}
const STEPS = 2000

function radii(draw: Draw): Trial {
  const [middle, wave] = [between(draw, 8, 25), between(draw, 0.05, 0.12)]
  const edge = wander(draw, 30)
  const radius = (turn: number) => middle * Math.max(0.2, 1 + wave * edge(turn))
  const count = Math.round(between(draw, 8, 16))
  const read = reader(draw, 0.005)
  const turns = Array.from({ length: STEPS }, (_, i) => (2 * Math.PI * i) / STEPS)
  return {
    truth: turns.reduce((sum, turn) => sum + radius(turn) ** 2, 0) * (Math.PI / STEPS),
    request: {
      instrument: 'tape',
      parts: [
        part({
          method: 'radii',
          rule: 'rounded',
          list: Array.from({ length: count }, (_, i) => read(radius((2 * Math.PI * i) / count))),
        }),
      ],
    },
  }
}

function offsets(draw: Draw, rule: 'interval' | 'trapezoid' | 'simpson'): Trial {
  const [middle, wave] = [between(draw, 8, 20), between(draw, 0.05, 0.12)]
  const edge = wander(draw, 30)
  const width = (share: number) => middle * Math.max(0.1, 1 + wave * edge(1.5 * Math.PI * share))
  const steps = 2 * Math.round(between(draw, 3, 8))
  const length = between(draw, 20, 45)
  const read = reader(draw, 0.005)
  const spacing = read(length / steps)
  const whole = length
  const places =
    rule === 'interval'
      ? Array.from({ length: steps }, (_, i) => (i + 0.5) / steps)
      : Array.from({ length: steps + 1 }, (_, i) => i / steps)
  const fine = Array.from({ length: STEPS }, (_, i) => width((i + 0.5) / STEPS))
  return {
    truth: (fine.reduce((sum, one) => sum + one, 0) / STEPS) * whole,
    request: {
      instrument: 'tape',
      parts: [
        part({
          method: 'offsets',
          rule,
          fixed: [{ name: 'spacing', length: spacing }],
          list: places.map((place) => read(width(place))),
        }),
      ],
    },
  }
}

export const GROUND_TRIALS = {
  'a rectangle by tape': (draw) => rectangle(draw, 'tape'),
  'a rectangle by wheel': (draw) => rectangle(draw, 'wheel'),
  'a rectangle paced, stride of three runs': (draw) => paced(draw, 3),
  'a rectangle paced, stride of two runs': (draw) => paced(draw, 2),
  'radii, rounded': radii,
  'offsets in the middle of their steps': (draw) => offsets(draw, 'interval'),
  'offsets with their ends': (draw) => offsets(draw, 'trapezoid'),
  'offsets by Simpson': (draw) => offsets(draw, 'simpson'),
} as const satisfies Readonly<Record<string, (draw: Draw) => Trial>>

/** @param seeds how many pieces of ground are tried */
export function groundHeld(trial: (draw: Draw) => Trial, seeds: number): HeldTruth {
  let held = 0
  for (let seed = 1; seed <= seeds; seed++) {
    const { truth, request } = trial(drawsFrom(seed * 7919))
    const answer = measureGround(request)
    if (
      answer.ok &&
      answer.value.sd !== undefined &&
      Math.abs(answer.value.net - truth) <= 2 * answer.value.sd
    )
      held++
  }
  return { of: seeds, held: held / seeds }
}

interface Calibrated {
  readonly request: CalibrationRequest
  /** What one pass really puts down, kg or m3 on each m2. */
  readonly truth: number
}

/** A course of a swath, taped; a machine that puts down `rate` on the ground it really covers. */
function courseOf(draw: Draw) {
  const read = reader(draw, 0.005)
  const [length, width] = [between(draw, 15, 40), between(draw, 2, 4)]
  return {
    ground: length * width,
    long: length,
    wide: width,
    length: read(length),
    width: read(width),
    run: () => 1 + normal(draw, 0.02),
  }
}
const runsOf = (draw: Draw) => Math.round(between(draw, 2, 5))
const many = <T>(count: number, make: () => T): readonly T[] => Array.from({ length: count }, make)
const OUNCE = { step: { value: 0.5, unit: 'oz' as const }, kg: 0.028349523125 }
const FLUID = { step: { value: 1, unit: 'fl oz' as const }, m3: 2.95735295625e-5 }
const ounces = (kg: number) => ({ value: rounded(kg / OUNCE.kg, 0.5), unit: 'oz' as const })
const fluid = (m3: number) => ({ value: rounded(m3 / FLUID.m3, 1), unit: 'fl oz' as const })

function onCourse(draw: Draw, method: 'known area' | 'catch' | 'refill' | 'drain'): Calibrated {
  const { ground, length, width, run } = courseOf(draw)
  const dry = method === 'known area' || method === 'catch'
  const truth = dry ? between(draw, 0.008, 0.02) : between(draw, 4e-5, 1.2e-4)
  const amount = dry ? ounces : fluid
  const unit = dry ? OUNCE.kg : FLUID.m3
  const runs = many(runsOf(draw), () => {
    const used = truth * ground * run()
    const start = (dry ? 300 : 700) * unit + draw() * 40 * unit
    return method === 'catch' || method === 'refill'
      ? { used: amount(used) }
      : { start: amount(start), left: amount(start - used) }
  })
  return { truth, request: { method, length, width, passes: 1, runs, step: dry ? OUNCE.step : FLUID.step } }
}

function timedCatch(draw: Draw): Calibrated {
  const { width, length, long, wide, run } = courseOf(draw)
  const [flow, speed] = [between(draw, 0.02, 0.05), between(draw, 1.1, 1.5)]
  return {
    truth: flow / (speed * wide),
    request: {
      method: 'timed catch',
      width,
      passes: 1,
      timed: {
        length,
        times: many(3, () => ({ value: long / (speed * run()), unit: 's' as const })),
      },
      runs: many(runsOf(draw), () => ({
        used: ounces(flow * 30 * run()),
        time: { value: 30, unit: 's' as const },
      })),
      step: OUNCE.step,
    },
  }
}

/** One nozzle's width walked, and what it gave meanwhile. */
function underNozzle(draw: Draw, method: '1/128 acre' | 'one nozzle'): Calibrated {
  const { length, run } = courseOf(draw)
  const truth = between(draw, 4e-5, 1.2e-4)
  const wide = between(draw, 0.45, 0.6)
  const width = reader(draw, 0.005)(wide)
  const course = method === 'one nozzle' ? length.value * FOOT : 4046.8564224 / 128 / (width.value * FOOT)
  return {
    truth,
    request: {
      method,
      width,
      passes: 1,
      ...(method === 'one nozzle' && { length }),
      runs: many(runsOf(draw), () => ({
        used: fluid(truth * course * wide * run()),
        time: { value: 25, unit: 's' as const },
      })),
      step: FLUID.step,
    },
  }
}

function hoseEnd(draw: Draw): Calibrated {
  const [flow, ground] = [between(draw, 8e-6, 2e-5), between(draw, 1.5, 3)]
  return {
    truth: flow / ground,
    request: {
      method: 'hose-end',
      passes: 1,
      covered: { ground: { value: 60 * ground, unit: 'm2' }, time: { value: 60, unit: 's' } },
      runs: many(runsOf(draw), () => ({
        used: fluid(flow * 60 * (1 + normal(draw, 0.02))),
        time: { value: 60, unit: 's' as const },
      })),
      step: FLUID.step,
    },
  }
}

export const CALIBRATION_TRIALS = {
  'known area': (draw) => onCourse(draw, 'known area'),
  catch: (draw) => onCourse(draw, 'catch'),
  'timed catch': timedCatch,
  refill: (draw) => onCourse(draw, 'refill'),
  drain: (draw) => onCourse(draw, 'drain'),
  '1/128 acre': (draw) => underNozzle(draw, '1/128 acre'),
  'one nozzle': (draw) => underNozzle(draw, 'one nozzle'),
  'hose-end': hoseEnd,
} as const satisfies Readonly<Record<string, (draw: Draw) => Calibrated>>

export function calibrationHeld(trial: (draw: Draw) => Calibrated, seeds: number): HeldTruth {
  let held = 0
  for (let seed = 1; seed <= seeds; seed++) {
    const { truth, request } = trial(drawsFrom(seed * 7919))
    const answer = calibrateRuns(request)
    if (!answer.ok) continue
    const { perPass, band } = answer.value
    if (perPass !== undefined && band !== undefined && Math.abs(perPass / truth - 1) <= band) held++
  }
  return { of: seeds, held: held / seeds }
}

/** How a curve came about: days, runs of each setting a day, and how much either differs. */
export interface CurveCell {
  readonly days: number
  readonly runs: number
  readonly daySd: number
  readonly runSd: number
}
const CURVE_DAYS = [1, 2, 3, 4]
export const CURVE_CELLS: readonly CurveCell[] = CURVE_DAYS.flatMap((days) =>
  [1, 2, 3].flatMap((runs) =>
    [0, 0.01, 0.03].flatMap((daySd) => [0.02, 0.03].map((runSd) => ({ days, runs, daySd, runSd }))),
  ),
).filter(({ days, runs }) => days > 1 || runs > 1)

/** A gate tried at four settings on a few days: does the band hold today's flow between them? */
export function curveHeld(
  seeds: number,
  { days, runs, daySd, runSd }: CurveCell,
): HeldTruth & { readonly median: number } {
  let held = 0
  const widths: number[] = []
  for (let seed = 1; seed <= seeds; seed++) {
    const draw = drawsFrom(seed * 7919 + days * 31 + runs)
    const [opens, power] = [0.00055 * between(draw, 0.75, 1.25), between(draw, 1.4, 1.9)]
    const gate = (setting: number) => opens * setting ** power
    const points = Array.from({ length: days }, (_, day) => {
      const off = 1 + normal(draw, daySd)
      return [8, 10, 12, 14].flatMap((setting) =>
        many(runs, (): SettingPoint => ({
          setting,
          age: day * 9,
          flow: gate(setting) * off * (1 + normal(draw, runSd)),
        })),
      )
    }).flat()
    const asked = between(draw, 8, 14)
    const today = gate(asked) * (1 + normal(draw, daySd))
    const answer = flowAt(settingCurve(points), asked)
    if (!answer.ok || answer.value.doubt === undefined) continue
    widths.push(2 * answer.value.doubt)
    if (Math.abs(answer.value.flow / today - 1) <= 2 * answer.value.doubt) held++
  }
  const median = widths.toSorted((a, b) => a - b)[Math.floor(widths.length / 2)] ?? 0
  return { of: seeds, held: held / seeds, median }
}
