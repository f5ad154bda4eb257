import { sumOf } from '../quantity/counting'
import type { MeasuringRule } from './methods/method'
import type { ComputeIssue } from '../computeIssue'
import type { Quantity, SquareMetres } from '../quantity/quantity'
import type { AngleUnit, AreaUnit, LengthUnit, SpanUnit } from '../quantity/units'
import { err, ok, type Result } from '../result'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { combineOutlines } from './combineOutlines'
import { cornerVariance, enclosedArea } from './enclosedArea'
import { anchorFor, ringToEarth, ringToPlan, type Anchor, type Position } from './geodesy'
import type { GroundPart } from './groundPart'
import { READING_ERROR_M, SCALE_ERROR, type Instrument } from './instruments'
import { knownPart } from './knownPart'
import { methodPart, spanReading, type SpanReading } from './methodPart'
import type { MethodName } from './methods/methods'
import { netArea } from './netArea'
import { centroid, type Point, type Ring } from './plane'
import type { ReadInstrument } from './readInstrument'
import { ringMeetings, type RingMeeting } from './ringMeetings'
import { withoutRepeats } from './simplify'
import { toolReading } from './toolCourse'

/** One piece of ground as a program sends it: figures instead of field notes. */
export type MeasuredPart = { readonly sign: 'add' | 'subtract' } & (
  | {
      readonly by: 'method'
      readonly method: MethodName
      readonly fixed: readonly NamedLength[]
      readonly list: readonly Quantity<SpanUnit>[]
      readonly angle?: Quantity<AngleUnit>
      readonly rule: MeasuringRule
    }
  | { readonly by: 'outline'; readonly points: Ring }
  | { readonly by: 'track'; readonly points: readonly Position[] }
  | { readonly by: 'size'; readonly size: Quantity<AreaUnit> }
)

export interface NamedLength {
  readonly name: string
  readonly length: Quantity<SpanUnit>
}

export interface GroundRequest {
  readonly parts: readonly MeasuredPart[]
  /** When given, the sloped surface is what counts. */
  readonly slope?: Quantity<'%'>
  readonly instrument: Instrument
  /** A stride or a wheel tried over a taped length. */
  readonly tool?: { readonly distance: Quantity<LengthUnit>; readonly runs: readonly number[] }
}

/** What is odd about the ground without making it unknown; `at` is in the request's own coordinates. */
interface GroundRemark {
  readonly part: number
  readonly code: 'outside' | 'overlap' | 'crosses-outline'
  readonly message: string
  readonly at?: readonly [number, number]
}

export interface GroundAnswer {
  /** M2, slope counted, exclusions once. */
  readonly net: number
  readonly flat: number
  /**
   * One standard deviation, m2; undefined where an error can't be known (a track without the error of its
   * positions).
   */
  readonly sd: number | undefined
  /** Flat and positive, m2, in the order of the request. */
  readonly parts: readonly number[]
  readonly problems: readonly GroundRemark[]
}

/** More corners than this on outlines that have to be joined are not ground that somebody treats. */
const MOST_JOINED_CORNERS = 20_000

/**
 * Measures ground from figures: what the screens do with field notes.
 * @returns m2; issues `impossible` (no such figure, or exclusions as large as the lawn), `crosses-itself`,
 *   `too-complex`
 * Source: trade.md 2.
 */
export function measureGround(
  request: GroundRequest,
  book: WorkingBook = closedWorkingBook,
): Result<GroundAnswer, readonly ComputeIssue[]> {
  const anchor = anchorFor(request.parts.flatMap((part) => (part.by === 'track' ? part.points : [])))
  const instrument = instrumentOf(request)
  const read = request.parts.map((part, index) => readMeasured(part, index, instrument, anchor))
  const issues = read.flatMap((part) => (part.ok ? [] : [part.error]))
  if (issues.length > 0) return err(issues)
  const parts = read.flatMap((part) => (part.ok ? [part.value] : []))
  const placed = parts.flatMap((part, index) => (part.seat === 'plan' ? [{ part, index }] : []))
  const back = placeIn(request, anchor)
  const met = meetingsOf(placed.map(({ part }) => part.rings[0]!))
  if (!met.ok) return err([{ ...met.error, path: 'parts', at: back(met.error.at) }])
  const joined = joinedOutlines(placed)
  if (!joined.ok) return err([joined.error])
  const net = netArea(parts, joined.value?.outlines, 'net', book, request.slope)
  if (!net.ok) {
    const first = Math.max(
      0,
      parts.findIndex(({ sign }) => sign === 'subtract'),
    )
    return err([
      {
        code: 'impossible',
        path: `parts.${first}`,
        message: 'What is taken away is as large as the ground itself: check its lengths and units.',
      },
    ])
  }
  const { size, sd } = net.value
  const unknown = request.parts.some(({ by }) => by === 'track')
  return ok({
    net: size,
    flat: size / Math.hypot(1, (request.slope?.value ?? 0) / 100),
    sd: unknown ? undefined : sd,
    parts: parts.map(({ flat }) => flat),
    problems: [
      ...overlaps(met.value, placed).map((remark) => ({ ...remark, at: back(remark.at) })),
      ...(joined.value?.strays ?? []).map((remark) => ({ ...remark, at: back(remark.at) })),
    ].toSorted((a, b) => a.part - b.part),
  })
}

interface PlacedPart {
  readonly part: GroundPart
  readonly index: number
}

/** What one instrument adds to every length it measured. */
function instrumentOf({ instrument, tool }: GroundRequest): ReadInstrument {
  const kind = instrument === 'paced' ? 'stride' : 'wheel'
  const tried =
    tool && instrument !== 'tape'
      ? toolReading(
          tool.distance,
          tool.runs.map((value) => ({ value, unit: kind === 'stride' ? 'paces' : tool.distance.unit })),
          kind,
          '',
          closedWorkingBook,
        )
      : undefined
  const share = tried?.scale ?? SCALE_ERROR[instrument]
  return {
    tool: tried,
    scale: { source: instrument, share, words: `scale of the ${instrument}, ${sixDigits(100 * share)} %` },
  }
}

function readMeasured(
  part: MeasuredPart,
  index: number,
  instrument: ReadInstrument,
  anchor: Anchor | undefined,
): Result<GroundPart, ComputeIssue> {
  const path = `parts.${index}`
  const head = { id: String(index), sign: part.sign }
  switch (part.by) {
    case 'size':
      return ok(knownPart(head, part.size))
    case 'method':
      return readByMethod(part, head, path, instrument)
    case 'outline':
      return readRing(withoutClosing(part.points), head, path, instrument, (at) => at)
    case 'track': {
      const at = anchor ?? { lat: 0, lon: 0, bearing: 0 }
      const ring = ringToPlan(withoutClosing(part.points), at)
      return readRing(ring, head, path, undefined, (point) => ringToEarth([point], at)[0]!)
    }
    default:
      return part satisfies never
  }
}

function readByMethod(
  part: Extract<MeasuredPart, { readonly by: 'method' }>,
  head: Pick<GroundPart, 'id' | 'sign'>,
  path: string,
  instrument: ReadInstrument,
): Result<GroundPart, ComputeIssue> {
  const spans = [
    ...part.fixed.map(({ name, length }) => ({ place: `${path}.${name}`, length })),
    ...part.list.map((length, i) => ({ place: `${path}.list.${i}`, length })),
  ].map(({ place, length }) => ({ place, reading: spanReading(length, instrument.tool) }))
  const lost = spans.find(({ reading }) => reading === undefined)
  if (lost) return err({ code: 'not-enough', path: lost.place, message: 'Paces need a stride: send `tool`.' })
  const readings = spans.flatMap(({ reading }): SpanReading[] => (reading ? [reading] : []))
  const measured = methodPart(
    head,
    part.method,
    {
      fixed: readings.slice(0, part.fixed.length),
      list: readings.slice(part.fixed.length),
      rule: part.rule,
      ...(part.angle && { angle: part.angle }),
    },
    instrument,
  )
  return measured.ok ? measured : err({ code: 'impossible', path, message: measured.error })
}

/** An outline drawn to scale, or (without an instrument) one walked by positions whose error nobody told. */
function readRing(
  ring: Ring,
  head: Pick<GroundPart, 'id' | 'sign'>,
  path: string,
  instrument: ReadInstrument | undefined,
  back: (point: Point) => Point,
): Result<GroundPart, ComputeIssue> {
  const corners = withoutRepeats(ring, 0)
  const area = enclosedArea(corners)
  if (!area.ok) {
    const { kind, message, at } = area.error
    const code = kind === 'crossesItself' ? 'crosses-itself' : 'impossible'
    return err({ code, path: `${path}.points`, message, ...(at && { at: back(at) }) })
  }
  return ok({
    ...head,
    name: instrument ? 'outline' : 'track',
    unit: 'm2',
    flat: area.value,
    seat: 'plan',
    rings: [corners],
    variance: instrument ? cornerVariance(corners, READING_ERROR_M.ft) : 0,
    ...(instrument && { scale: instrument.scale }),
    line: () =>
      `outline of ${corners.length} corners, shoelace formula = ${sixDigits(area.value)} m2` +
      (instrument ? '; corners 0.1 ft each' : '; on the earth, WGS 84, area kept by the projection'),
  })
}

/** Rings may be sent closed. */
const withoutClosing = <P extends readonly [number, number]>(points: readonly P[]): readonly P[] => {
  const [first, last] = [points[0], points.at(-1)]
  return points.length > 1 && first && last && first[0] === last[0] && first[1] === last[1]
    ? points.slice(0, -1)
    : points
}

/** A place on the plan in the request's own coordinates. */
function placeIn({ parts }: GroundRequest, anchor: Anchor | undefined): (point: Point) => Point {
  const onEarth = anchor && parts.some(({ by }) => by === 'track')
  return (point) => (onEarth ? ringToEarth([point], anchor)[0]! : point)
}

function meetingsOf(
  rings: readonly Ring[],
): Result<
  readonly RingMeeting[],
  { readonly code: 'too-complex'; readonly message: string; readonly at: Point }
> {
  const message = 'These outlines have too many corners or cross too often to be joined: send simpler ones.'
  const corners = sumOf(rings, (ring) => ring.length)
  if (rings.length > 1 && corners > MOST_JOINED_CORNERS)
    return err({ code: 'too-complex', message, at: rings[0]![0]! })
  const met = ringMeetings(rings)
  return met.ok ? met : err({ code: 'too-complex', message, at: met.error.at })
}

interface PlacedRemark extends GroundRemark {
  readonly at: Point
}

/** Outlines of one sign that share ground count it once; that is told on the later one. */
const overlaps = (met: readonly RingMeeting[], placed: readonly PlacedPart[]): readonly PlacedRemark[] =>
  met.flatMap(({ rings: [one, other], at }): PlacedRemark[] => {
    const [first, second] = [placed[one]!, placed[other]!]
    if (first.part.sign !== second.part.sign) return []
    return [
      {
        part: second.index,
        code: 'overlap',
        message: `This outline and part ${first.index} share ground: it is counted once.`,
        at,
      },
    ]
  })

/** The outlines on the plan as one piece of ground, and the exclusions that don't lie wholly on it. */
function joinedOutlines(placed: readonly PlacedPart[]): Result<
  | {
      readonly outlines: Parameters<typeof netArea>[1]
      readonly strays: readonly PlacedRemark[]
    }
  | undefined,
  ComputeIssue
> {
  if (placed.length === 0) return ok(undefined)
  const of = (sign: GroundPart['sign']) => placed.filter(({ part }) => part.sign === sign)
  const [added, taken] = [of('add'), of('subtract')]
  const rings = (list: readonly PlacedPart[]) => list.map(({ part }) => part.rings[0]!)
  // An outlined bed in a lawn known by its dimensions: there is nothing to cut it with, so it is taken as it
  // is.
  const combined =
    added.length > 0 ? combineOutlines(rings(added), rings(taken)) : combineOutlines(rings(taken), [])
  if (!combined.ok)
    return err({
      code: 'too-complex',
      path: 'parts',
      message: 'These outlines can’t be joined: too many of their sides lie on each other.',
      at: placed[0]!.part.rings[0]![0]!,
    })
  if (added.length === 0)
    return ok({ outlines: { net: [], added: 0, taken: combined.value.added, strays: [] }, strays: [] })
  const strays = combined.value.strays.map(({ index, kind, beyond, pieces }): PlacedRemark => {
    const size = `${sixDigits(beyond)} m2`
    return {
      part: taken[index]!.index,
      code: kind === 'outside' ? 'outside' : 'crosses-outline',
      message:
        kind === 'outside'
          ? 'This exclusion lies outside the outline: nothing is taken for it.'
          : `${size} of this exclusion lie beyond the outline: only what lies on the ground is taken.`,
      at: centroid(pieces[0]?.[0] ?? []),
    }
  })
  return ok({ outlines: combined.value, strays })
}

/** Two standard deviations, as screens tell an area's give or take, m2. */
export const giveOf = (sd: number | SquareMetres): number => 2 * sd
