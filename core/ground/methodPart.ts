import { err, ok, type Result } from '../result'
import { lengthSi, type Quantity } from '../quantity/quantity'
import { METRES_PER, RADIANS_PER, type AngleUnit, type AreaUnit, type SpanUnit } from '../quantity/units'
import { asEntered, sixDigits } from '../working/figureText'
import type { MeasuringRule } from './methods/method'
import type { GroundPart } from './groundPart'
import { roundingOf } from '../quantity/repeats'
import { ANGLE_ERROR, paceStep, READING_ERROR_M } from './instruments'
import { METHODS, slopesOf, type MethodName } from './methods/methods'
import type { ReadInstrument } from './readInstrument'
import { trueLength, type ToolReading } from './toolCourse'

/** A length as read, in metres on the ground, with what it says of itself. */
export interface SpanReading {
  readonly m: number
  readonly text: string
  /** One standard deviation of reading it, m. */
  readonly sd: number
  readonly metric: boolean
}

/** A length, or a count of paces by a calibrated stride; undefined for paces without one. */
export function spanReading(
  read: Quantity<SpanUnit>,
  tool: ToolReading | undefined,
): SpanReading | undefined {
  const length = trueLength(read, tool)
  if (!length) return undefined
  const m = lengthSi(length)
  const metric = read.unit === 'm' || read.unit === 'cm' || read.unit === 'mm'
  const reading =
    read.unit === 'paces' ? roundingOf(paceStep(read.value)) * (m / read.value) : READING_ERROR_M[read.unit]
  const walked = tool && (tool.kind === 'wheel' || read.unit === 'paces')
  const text = walked
    ? `${asEntered(read)} x ` +
      sixDigits(read.unit === 'paces' ? tool.runs.mean / METRES_PER.ft : tool.runs.mean) +
      `${read.unit === 'paces' ? ' ft' : ''} ` +
      `= ${sixDigits(m)} m`
    : asEntered(read)
  return { m, metric, text, sd: walked ? Math.hypot(reading, tool.length * m) : reading }
}

/** What was read for one piece of ground by a method of lengths and angles. */
export interface MethodReadings {
  /** In the order of the method's `fixed`. */
  readonly fixed: readonly SpanReading[]
  readonly list: readonly SpanReading[]
  readonly angle?: Quantity<AngleUnit>
  /** Blank: the method's first. */
  readonly rule: MeasuringRule
}

/**
 * Measures one piece of ground from its readings.
 * @returns the piece, flat area in m2; an error in words where no figure has these readings
 * Source: trade.md 2; first-order propagation of the errors of the readings.
 */
export function methodPart(
  { id, sign }: Pick<GroundPart, 'id' | 'sign'>,
  name: MethodName,
  { fixed, list, angle, rule }: MethodReadings,
  instrument: ReadInstrument,
): Result<GroundPart, string> {
  const method = METHODS[name]
  const read = [...fixed, ...list]
  const readings = {
    fixed: fixed.map(({ m }) => m),
    list: list.map(({ m }) => m),
    angle: angle ? angle.value * RADIANS_PER[angle.unit] : 0,
    rule: rule || (method.rules?.[0]?.rule ?? ''),
  }
  const problem = method.problem?.(readings)
  if (problem) return err(problem)
  const slopes = slopesOf(method, readings)
  const flat = method.area(readings)
  const between = method.between?.(readings) ?? 0
  const variance = read.reduce(
    (sum, { sd }, i) => sum + ((slopes.lengths[i] ?? 0) * sd) ** 2,
    (slopes.angle * ANGLE_ERROR) ** 2 + between,
  )
  const unit: AreaUnit = read.some(({ metric }) => metric) ? 'm2' : 'ft2'
  const one = method.list?.one.toLowerCase()
  return ok({
    id,
    sign,
    name,
    unit,
    flat,
    variance,
    seat: 'schematic',
    scale: instrument.scale,
    rings: method.rings(readings),
    line: () => {
      const named = [
        ...read.map(({ text }, i) => `${method.fixed[i] ?? `${one} ${i - fixed.length + 1}`} ${text}`),
        ...(angle ? [`angle ${asEntered(angle)}`] : []),
      ]
      const unread =
        between > 0
          ? `; the outline between them, judged by how they vary: ${sixDigits(Math.sqrt(between))} m2`
          : ''
      return `${name}: ${named.join(', ')}; ${method.words(readings)} = ${sixDigits(flat)} m2${unread}`
    },
  })
}
