import type { Entered } from '../quantity/entered'
import { SYSTEM_UNITS, type UnitSystem } from '../quantity/systems'
import type { SpanUnit } from '../quantity/units'
import type { FieldNotes, LawnPart, MeasuredWith } from './areaShape'

type Span = Entered<SpanUnit>

/** What is read off an instrument: paces are counted, a tape and a wheel show lengths. */
const fits = ({ instrument }: Pick<MeasuredWith, 'instrument'>, { unit }: Span): boolean =>
  (unit === 'paces') === (instrument === 'paced')

/** The unit that readings of an instrument are asked in. */
const unitOf = ({ instrument }: Pick<MeasuredWith, 'instrument'>, system: UnitSystem): SpanUnit =>
  instrument === 'paced' ? 'paces' : SYSTEM_UNITS[system].length

const isBlank = ({ text }: Span): boolean => text.trim() === ''

/** Every length of a part as `change` makes it. */
const eachLength = (part: LawnPart, change: (span: Span) => Span): LawnPart => ({
  ...part,
  lengths: Object.fromEntries(
    Object.entries(part.lengths).map(([name, span]) => [name, span && change(span)]),
  ) as LawnPart['lengths'],
  ...(part.list && { list: part.list.map(change) }),
})

const allLengths = ({ lengths, list = [] }: LawnPart): readonly Span[] => [
  ...Object.values(lengths).filter((span) => span !== undefined),
  ...list,
]

/**
 * Notes whose blank lengths are asked in the unit of the instrument that a part is measured with; what was
 * typed stays as it was typed.
 * @param system the crew's, for lengths of a tape or a wheel
 */
export const inInstrumentUnits = <N extends FieldNotes>(notes: N, system: UnitSystem): N => ({
  ...notes,
  parts: notes.parts.map((part) => {
    const own = part.with ?? notes
    return eachLength(part, (span) =>
      isBlank(span) && !fits(own, span) ? { ...span, unit: unitOf(own, system) } : span,
    )
  }),
})

/**
 * Lengths that were typed in a unit their instrument does not show: whether the figure was read so is asked.
 * @returns undefined where there are none
 * @example three lengths in ft, measured in paces: { count: 3, typed: 'ft', instead: 'paces' }
 */
export function lengthsToAsk(
  notes: FieldNotes,
  system: UnitSystem,
): { readonly count: number; readonly typed: SpanUnit; readonly instead: SpanUnit } | undefined {
  const found = notes.parts.flatMap((part) => {
    const own = part.with ?? notes
    return allLengths(part)
      .filter((span) => !isBlank(span) && !fits(own, span))
      .map(({ unit }) => ({ typed: unit, instead: unitOf(own, system) }))
  })
  const [first] = found
  return first && { count: found.length, ...first }
}

/** The same figures in the unit of the instrument: what was read was so many paces. */
export const asInstrumentUnits = <N extends FieldNotes>(notes: N, system: UnitSystem): N => ({
  ...notes,
  parts: notes.parts.map((part) => {
    const own = part.with ?? notes
    return eachLength(part, (span) => (fits(own, span) ? span : { ...span, unit: unitOf(own, system) }))
  }),
})
