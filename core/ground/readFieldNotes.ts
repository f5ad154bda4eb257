import { NOTES_FIELDS } from './areaFields'
import type { Figure } from '../working/figures'
import { areaIn, type SquareMetres } from '../quantity/quantity'
import { formatArea } from '../quantity/format'
import type { FieldReader } from '../quantity/fieldReader'
import type { WorkingBook } from '../working/working'
import { combineOutlines, type CombinedOutlines } from './combineOutlines'
import { lapsed } from './fieldNotes'
import type { FieldNotes } from './areaShape'
import type { GroundPart } from './groundPart'
import { isAwaited } from './largeGround'
import { netArea, type GroundErrors } from './netArea'
import type { Ring } from './plane'
import { readInstrument } from './readInstrument'
import { readPart } from './readPart'

/** Ground that could be measured, or could not yet (size undefined). */
export interface MeasuredGround {
  readonly size: SquareMetres | undefined
  /** One standard deviation, m2. */
  readonly sd: SquareMetres | undefined
  readonly errors: GroundErrors | undefined
  readonly parts: readonly GroundPart[]
  /** The outlines that lie on the plan, joined and cut. */
  readonly outlines: CombinedOutlines | undefined
  /** Exclusions that do not lie on the lawn, by the id of their part. */
  readonly strays: readonly GroundStray[]
  /** It is large and still being worked out elsewhere: ask again when that has answered. */
  readonly awaited?: true
}

export interface GroundStray {
  readonly partId: string
  readonly kind: 'outside' | 'crossing'
  readonly message: string
}

/** Where the notes stand and what they are called. */
export interface NotesPlace {
  /** Dotted path of the notes in their document. */
  readonly path: string
  readonly name: string
  /** Figure under which the working is kept. */
  readonly figure: Figure
  /** The day for which it is measured, YYYY-MM-DD: dated exclusions lapse. */
  readonly day: string
}

const UNKNOWN: MeasuredGround = {
  size: undefined,
  sd: undefined,
  errors: undefined,
  parts: [],
  outlines: undefined,
  strays: [],
}

/** Reads and measures field notes; what is wrong lands in the reader's problems. */
export function readFieldNotes(
  notes: FieldNotes,
  { path, name, figure, day }: NotesPlace,
  fields: FieldReader,
  book: WorkingBook,
): MeasuredGround {
  const at = fields.of(NOTES_FIELDS, path)
  if (isAwaited(notes, day)) {
    fields.missing(`${path}.parts`, `The outlines of ${name} are being measured.`)
    return { ...UNKNOWN, awaited: true }
  }
  const instrument = readInstrument(notes, path, fields)
  const read = notes.parts.map((part, i) => {
    if (lapsed(part, day)) return 'lapsed' as const
    const own = `${path}.parts.${i}`
    return readPart(
      part,
      own,
      part.with ? readInstrument(part.with, `${own}.with`, fields) : instrument,
      fields,
    )
  })
  const slope = notes.slope && at.optional('slope', notes.slope)
  const parts = read.filter((part) => part !== undefined && part !== 'lapsed')
  const bare: MeasuredGround = { ...UNKNOWN, parts }
  if (read.includes(undefined)) return bare
  const combined = combinedOf(parts)
  if (combined === 'failed') {
    fields.wrong(
      `${path}.parts.0`,
      `The outlines of ${name} can’t be joined: too many of their sides lie on each other. Move a ` +
        'corner a little, or remove doubled corners.',
    )
    return bare
  }
  const strays = combined ? straysOf(parts, combined) : []
  const net = netArea(parts, combined, figure, book, slope)
  if (net.ok) return { ...net.value, parts, outlines: combined, strays }
  fields.wrong(
    `${path}.parts.${Math.max(
      0,
      notes.parts.findIndex((part) => part.sign === 'subtract'),
    )}`,
    `What is taken away (${square(net.error.subtracted)}) is as large as ${name} itself ` +
      `(${square(net.error.added)}): check its lengths and units.`,
  )
  return { ...bare, outlines: combined, strays }
}

const square = (m2: SquareMetres | number) =>
  `${formatArea(areaIn(m2 as SquareMetres, 'ft2').value, 'ft2')} ft²`

function combinedOf(parts: readonly GroundPart[]): CombinedOutlines | undefined | 'failed' {
  const rings = (sign: GroundPart['sign']): readonly Ring[] =>
    parts.filter((part) => part.seat === 'plan' && part.sign === sign).flatMap((part) => part.rings)
  const [added, taken] = [rings('add'), rings('subtract')]
  if (added.length + taken.length === 0) return undefined
  // An outlined bed in a lawn known by its dimensions: there is nothing on the plan to cut it with, so it is
  // taken as it is.
  if (added.length === 0) {
    const alone = combineOutlines(taken, [])
    return alone.ok ? { net: [], added: 0, taken: alone.value.added, strays: [] } : 'failed'
  }
  const combined = combineOutlines(added, taken)
  return combined.ok ? combined.value : 'failed'
}

function straysOf(parts: readonly GroundPart[], { strays }: CombinedOutlines): readonly GroundStray[] {
  const exclusions = parts.filter(({ seat, sign }) => seat === 'plan' && sign === 'subtract')
  return strays.flatMap(({ index, kind, beyond }) => {
    const part = exclusions[index]
    if (!part) return []
    return [
      {
        partId: part.id,
        kind,
        message:
          kind === 'outside'
            ? `This exclusion (${square(part.flat)}) lies outside the outline: nothing is taken for it.`
            : `${square(beyond)} of this exclusion lie beyond the outline: only what lies on the lawn is ` +
              'taken.',
      },
    ]
  })
}
