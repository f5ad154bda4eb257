import { PART_FIELDS } from './areaFields'
import { withoutTrailingBlanks } from '../quantity/readings'
import type { FieldReader } from '../quantity/fieldReader'
import type { LawnPart } from './areaShape'
import type { GroundPart } from './groundPart'
import { knownPart } from './knownPart'
import { methodPart, spanReading, type SpanReading } from './methodPart'
import type { ReadingName } from './methods/method'
import { METHODS, type MethodName } from './methods/methods'
import type { ReadInstrument } from './readInstrument'
import { readOutline } from './readOutline'

/** Reads one piece of field notes; undefined when something is missing or wrong, which the reader says. */
export function readPart(
  part: LawnPart,
  path: string,
  instrument: ReadInstrument,
  fields: FieldReader,
): GroundPart | undefined {
  const at = fields.of(PART_FIELDS, path)
  if (part.shape === 'known') {
    const size = at.needed('size', part.size)
    const give = at.optional('give', part.give)
    return size && knownPart(part, size, give)
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
  const at = fields.of(PART_FIELDS, path)
  const method = METHODS[name]
  const span = spanReader(instrument, fields)
  const fixed = method.fixed.map((reading) =>
    span(`${path}.lengths.${reading}`, part.lengths[reading], capital(reading), 'above-zero'),
  )
  const angle =
    method.angle === undefined ? undefined : at.needed('angle', part.angle, undefined, method.angle)
  const { list: wanted } = method
  const typed = wanted ? withoutTrailingBlanks(part.list ?? [], wanted.least) : []
  const list = wanted
    ? typed.map((entered, i) => span(`${path}.list.${i}`, entered, `${wanted.one} ${i + 1}`, wanted.zero))
    : []
  if (wanted && list.length < wanted.least) {
    fields.missing(
      `${path}.list`,
      `${wanted.one === 'Radius' ? 'Radii' : `${wanted.one}s`}: at least ${wanted.least} ` +
        `${wanted.least === 1 ? 'is' : 'are'} needed.`,
    )
    return undefined
  }
  const whole = { fixed: fixed.filter(isRead), list: list.filter(isRead) }
  if (whole.fixed.length < fixed.length || whole.list.length < list.length) return undefined
  if (method.angle !== undefined && !angle) return undefined
  if (method.ruleQuestion !== undefined && part.rule === '') {
    fields.missing(`${path}.rule`, method.ruleQuestion)
    return undefined
  }
  const measured = methodPart(
    part,
    name,
    { ...whole, rule: part.rule ?? '', ...(angle && { angle }) },
    instrument,
  )
  if (measured.ok) return measured.value
  fields.wrong(path, measured.error)
  return undefined
}

const isRead = (reading: SpanReading | undefined): reading is SpanReading => reading !== undefined

type TypedSpan = LawnPart['lengths'][ReadingName]

/** Reads one length as typed; paces without a stride are told at their field. */
function spanReader({ tool }: ReadInstrument, fields: FieldReader) {
  return (place: string, entered: TypedSpan, what: string, zero: 'zero-too' | 'above-zero') => {
    const read = fields.needed(place, entered, { ...PART_FIELDS['list.*'], name: what, sign: zero })
    const reading = read && spanReading(read, tool)
    if (read && !reading)
      fields.wrong(place, 'Paces need a stride: name your calibrated stride above, or type a length.')
    return reading
  }
}

const capital = (name: string) => name.charAt(0).toUpperCase() + name.slice(1)
