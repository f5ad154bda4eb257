import type { ApplicationDraft } from '../../draft/applicationDraft'
import type { LibraryProduct } from '../../draft/fromLibrary'
import { enteredWords } from '../../quantity/enteredWords'
import { fieldReader } from '../../quantity/fieldReader'
import { lengthSi } from '../../quantity/quantity'
import type { Entered } from '../../quantity/entered'
import type { LengthUnit } from '../../quantity/units'
import { LOCAL_LENGTH_UNITS, type LocalRule } from '../../rules/localRule'

/** How far a job keeps from open water, and who asks for it. */
export interface WaterBuffer {
  readonly metres: number
  /** As it was written: 25 ft. */
  readonly words: string
  readonly source: string
  readonly byHand: boolean
}

/**
 * The widest that a label of the job or a rule of the crew asks for; what was typed goes before it, and says
 * so.
 */
export function waterBuffer(
  { products, lanes }: ApplicationDraft,
  library: { readonly products: readonly LibraryProduct[]; readonly local: readonly LocalRule[] },
): WaterBuffer | undefined {
  const typed = lanes && asBuffer(lanes.buffer, 'by hand', true)
  if (typed) return typed
  const asked = [
    ...products.flatMap(({ source }) => {
      const product = library.products.find(({ id }) => id === source?.id)
      const line = product?.document.lines.find(({ id }) => id === source?.line)
      const buffer = line?.figures?.buffer
      return (buffer && product && asBuffer(buffer, `label of ${product.name}`, false)) || []
    }),
    ...library.local
      .filter(({ kind }) => kind === 'buffer to water')
      .flatMap(({ limit, unit }) => {
        const written = LOCAL_LENGTH_UNITS.find((one) => one === unit) ?? LOCAL_LENGTH_UNITS[0] ?? 'ft'
        return asBuffer({ text: limit, unit: written }, 'the crew’s rule', false) ?? []
      }),
  ]
  return asked.toSorted((a, b) => b.metres - a.metres)[0]
}

function asBuffer(entered: Entered<LengthUnit>, source: string, byHand: boolean): WaterBuffer | undefined {
  const read = fieldReader().optional('', entered, 'length', 'Buffer', 'zero-too')
  return read && { metres: lengthSi(read), words: enteredWords(entered), source, byHand }
}
