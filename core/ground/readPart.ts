import { areaSi, lengthSi, type Quantity } from '../quantity/quantity'
import type { FieldReader } from '../quantity/fieldReader'
import { METRES_PER, RADIANS_PER, type AreaUnit, type SpanUnit } from '../quantity/units'
import { asEntered, sixDigits } from '../working/figureText'
import type { LawnPart } from './fieldNotes'
import type { GroundPart } from './groundPart'
import { ANGLE_ERROR, READING_ERROR_M } from './instruments'
import type { ReadingName } from './methods/method'
import { METHODS, slopesOf, type MethodName } from './methods/methods'
import type { ReadInstrument } from './readInstrument'
import { readOutline } from './readOutline'
import { trueLength, type ToolReading } from './toolCourse'

interface Reading {
  readonly m: number
  readonly text: string
  readonly sd: number
  readonly metric: boolean
}

/** Reads one piece of field notes; undefined when something is missing or wrong, which the reader says. */
export function readPart(
  part: LawnPart,
  path: string,
  instrument: ReadInstrument,
  fields: FieldReader,
): GroundPart | undefined {
  if (part.shape === 'known') {
    const size = fields.positive(`${path}.size`, part.size, 'area', 'Size')
    if (!size) return undefined
    const side = Math.sqrt(areaSi(size))
    const { rings } = METHODS.rectangle
    return {
      id: part.id,
      sign: part.sign,
      name: 'known size',
      unit: size.unit,
      flat: areaSi(size),
      variance: 0,
      seat: 'schematic',
      rings: rings({ fixed: [side, side], angle: 0, list: [], rule: '' }),
      line: () => `known size ${asEntered(size)} = ${sixDigits(areaSi(size))} m2; no readings of ours`,
    }
  }
  return part.shape === 'outline'
    ? readOutline(part, path, instrument, fields)
    : readMethod(part, part.shape, path, instrument, fields)
}

function readMethod(
  part: LawnPart,
  name: MethodName,
  path: string,
  instrument: ReadInstrument,
  fields: FieldReader,
): GroundPart | undefined {
  const method = METHODS[name]
  const span = (
    place: string,
    entered: LawnPart['lengths'][ReadingName],
    what: string,
    zero: 'zero-too' | 'above-zero',
  ) =>
    readSpan(
      zero === 'zero-too'
        ? fields.notNegative(place, entered, 'span', what)
        : fields.positive(place, entered, 'span', what),
      place,
      instrument.tool,
      fields,
    )
  const fixed = method.fixed.map((reading) =>
    span(`${path}.lengths.${reading}`, part.lengths[reading], capital(reading), 'above-zero'),
  )
  const angle =
    method.angle === undefined
      ? undefined
      : fields.positive(`${path}.angle`, part.angle, 'angle', method.angle)
  const { list: wanted } = method
  const list = wanted
    ? (part.list ?? []).map((entered, i) =>
        span(`${path}.list.${i}`, entered, `${wanted.one} ${i + 1}`, wanted.zero),
      )
    : []
  if (wanted && list.length < wanted.least) {
    fields.missing(
      `${path}.list`,
      `${wanted.one === 'Radius' ? 'Radii' : `${wanted.one}s`}: at least ${wanted.least} ` +
        `${wanted.least === 1 ? 'is' : 'are'} needed.`,
    )
    return undefined
  }
  const read = [...fixed, ...list].filter((one) => one !== undefined)
  if (read.length < fixed.length + list.length || (method.angle !== undefined && !angle)) return undefined
  const rule = part.rule || (method.rules?.[0]?.rule ?? '')
  const readings = {
    fixed: read.slice(0, fixed.length).map(({ m }) => m),
    list: read.slice(fixed.length).map(({ m }) => m),
    angle: angle ? angle.value * RADIANS_PER[angle.unit] : 0,
    rule,
  }
  const problem = method.problem?.(readings)
  if (problem) {
    fields.wrong(path, problem)
    return undefined
  }
  const slopes = slopesOf(method, readings)
  const flat = method.area(readings)
  const variance = read.reduce(
    (sum, { sd }, i) => sum + ((slopes.lengths[i] ?? 0) * sd) ** 2,
    (slopes.angle * ANGLE_ERROR) ** 2,
  )
  const unit: AreaUnit = read.some(({ metric }) => metric) ? 'm2' : 'ft2'
  return {
    id: part.id,
    sign: part.sign,
    name,
    unit,
    flat,
    variance,
    seat: 'schematic',
    scale: instrument.scale,
    rings: method.rings(readings),
    line: () => {
      const named = [
        ...read.map(
          ({ text }, i) =>
            `${method.fixed[i] ?? `${wanted?.one.toLowerCase()} ${i - fixed.length + 1}`} ${text}`,
        ),
        ...(angle ? [`angle ${asEntered(angle)}`] : []),
      ]
      return `${name}: ${named.join(', ')}; ${method.words(readings)} = ${sixDigits(flat)} m2`
    },
  }
}

/** A length as read, in metres on the ground, with what it says of itself. */
function readSpan(
  read: Quantity<SpanUnit> | undefined,
  path: string,
  tool: ToolReading | undefined,
  fields: FieldReader,
): Reading | undefined {
  if (!read) return undefined
  const length = trueLength(read, tool)
  if (!length) {
    fields.wrong(path, 'Paces need a stride: name your calibrated stride above, or type a length.')
    return undefined
  }
  const m = lengthSi(length)
  const metric = read.unit === 'm' || read.unit === 'cm'
  const reading = read.unit === 'paces' ? 0 : READING_ERROR_M[read.unit]
  const walked = tool && (tool.kind === 'wheel' || read.unit === 'paces')
  const text = walked
    ? `${asEntered(read)} x ` +
      sixDigits(read.unit === 'paces' ? tool.runs.mean / METRES_PER.ft : tool.runs.mean) +
      `${read.unit === 'paces' ? ' ft' : ''} ` +
      `= ${sixDigits(m)} m`
    : asEntered(read)
  return { m, metric, text, sd: walked ? Math.hypot(reading, tool.spread * m) : reading }
}

const capital = (name: string) => name.charAt(0).toUpperCase() + name.slice(1)
