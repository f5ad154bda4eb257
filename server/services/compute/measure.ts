import { giveOf, measureGround, type MeasuredPart, type NamedLength } from '#core/ground/measureGround'
import type { MethodName } from '#core/ground/methods/methods'
import type { Quantity } from '#core/quantity/quantity'
import type { SpanUnit } from '#core/quantity/units'
import type { Result } from '#core/result'
import type { ComputeIssue } from '#core/computeIssue'
import { openWorkingBook } from '#core/working/working'
import { answeredWorking } from './answeredWorking'
import {
  usesPaces,
  type MeasureAnswer,
  type MeasureRequest,
  type WirePart,
} from '#shared/schemas/compute/measure'

/** Ground from figures, for other programs. */
export function answerMeasure(request: MeasureRequest): Result<MeasureAnswer, readonly ComputeIssue[]> {
  const book = openWorkingBook()
  const { slope, tool, parts, instrument = usesPaces(parts) ? 'paced' : 'tape' } = request
  const measured = measureGround(
    { parts: parts.map(partOf), instrument, ...(slope && { slope }), ...(tool && { tool }) },
    book,
  )
  if (!measured.ok) return measured
  const { net, flat, sd, parts: areas, problems } = measured.value
  return {
    ok: true,
    value: {
      net: { value: net, unit: 'm2' },
      flat: { value: flat, unit: 'm2' },
      give: sd === undefined ? null : { value: giveOf(sd), unit: 'm2' },
      parts: areas.map((value) => ({ area: { value, unit: 'm2' } })),
      problems: problems.map(({ at, ...problem }) => ({ ...problem, ...(at && { at: [at[0], at[1]] }) })),
      working: answeredWorking(book),
    },
  }
}

function partOf(part: WirePart): MeasuredPart {
  const { sign } = part
  switch (part.shape) {
    case 'known':
      return { sign, by: 'size', size: part.size }
    case 'outline':
      return { sign, by: 'outline', points: part.points }
    case 'track':
      return { sign, by: 'track', points: part.points }
    case 'circle':
      return byMethod(sign, circleMethod(part), named(part, ['radius', 'diameter', 'circumference']))
    case 'four sides and diagonal':
      return {
        ...byMethod(sign, part.shape, named(part, ['first', 'second', 'third', 'fourth', 'diagonal'])),
        rule: part.diagonalOutside ? 'outside' : 'inside',
      }
    case 'offsets':
      return { ...byMethod(sign, 'offsets', named(part, ['spacing'])), list: part.list, rule: part.rule }
    case 'radii':
      return { ...byMethod(sign, 'radii', []), list: part.list, rule: part.rule }
    case 'triangles':
      return { ...byMethod(sign, 'triangles', []), list: part.list }
    case 'two sides and angle':
      return { ...byMethod(sign, part.shape, named(part, ['first', 'second'])), angle: degrees(part.angle) }
    case 'sector':
      return { ...byMethod(sign, 'sector', named(part, ['radius'])), angle: degrees(part.angle) }
    case 'rectangle':
    case 'ellipse':
      return byMethod(sign, part.shape, named(part, ['length', 'width']))
    case 'triangle':
      return byMethod(sign, part.shape, named(part, ['base', 'height']))
    case 'three sides':
      return byMethod(sign, part.shape, named(part, ['first', 'second', 'third']))
    case 'trapezoid':
      return byMethod(sign, part.shape, named(part, ['side', 'opposite', 'height']))
    case 'ring':
      return byMethod(sign, part.shape, named(part, ['outer', 'inner']))
    default:
      return part satisfies never
  }
}

type ByMethod = Extract<MeasuredPart, { readonly by: 'method' }>

const byMethod = (sign: WirePart['sign'], method: MethodName, fixed: readonly NamedLength[]): ByMethod => ({
  sign,
  by: 'method',
  method,
  fixed,
  list: [],
  rule: '',
})

/** The lengths of a part that were sent, in the order its method takes them. */
const named = <N extends string>(
  part: { readonly [K in N]?: Quantity<SpanUnit> | undefined },
  names: readonly N[],
): readonly NamedLength[] =>
  names.flatMap((name) => {
    const length = part[name]
    return length ? [{ name, length }] : []
  })

const circleMethod = ({ radius, diameter }: Extract<WirePart, { shape: 'circle' }>): MethodName =>
  radius ? 'circle by radius' : diameter ? 'circle' : 'circle by circumference'

const degrees = ({ value }: Quantity<'deg'>): Quantity<'°'> => ({ value, unit: '°' })
