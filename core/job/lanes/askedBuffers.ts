import { typedFigure } from '../../quantity/entered'
import type { ApplicationDraft } from '../../draft/applicationShape'
import type { LibraryProduct } from '../../draft/fromLibrary'
import { enteredWords } from '../../quantity/enteredWords'
import { lengthSi } from '../../quantity/quantity'
import type { Entered } from '../../quantity/entered'
import type { LengthUnit } from '../../quantity/units'
import { LOCAL_LENGTH_UNITS, type LocalRule } from '../../rules/localRule'

/** How far a job keeps from something, and who asks for it. */
export interface AskedBuffer {
  readonly metres: number
  /** As it was written: 25 ft. */
  readonly words: string
  readonly source: string
  readonly byHand: boolean
}
export interface AskedBuffers {
  readonly water: AskedBuffer | undefined
  readonly beds: AskedBuffer | undefined
}

/**
 * The widest that a label of the job or a rule of the crew asks for; what was typed goes before it, and says
 * so. Labels name a buffer to open water only.
 */
export const askedBuffers = (
  { products, lanes }: ApplicationDraft,
  library: { readonly products: readonly LibraryProduct[]; readonly local: readonly LocalRule[] },
): AskedBuffers => ({
  water:
    (lanes && asBuffer(lanes.buffer, 'by hand', true)) ??
    widest([...ofLabels(products, library.products), ...ofRules(library.local, 'buffer to water')]),
  beds:
    (lanes?.bedBuffer && asBuffer(lanes.bedBuffer, 'by hand', true)) ??
    widest(ofRules(library.local, 'buffer to beds')),
})

const widest = (asked: readonly AskedBuffer[]): AskedBuffer | undefined =>
  asked.toSorted((a, b) => b.metres - a.metres)[0]

const ofLabels = (
  products: ApplicationDraft['products'],
  library: readonly LibraryProduct[],
): readonly AskedBuffer[] =>
  products.flatMap(({ source }) => {
    const product = library.find(({ id }) => id === source?.id)
    const buffer = product?.document.lines.find(({ id }) => id === source?.line)?.figures?.buffer
    return (buffer && product && asBuffer(buffer, `label of ${product.name}`, false)) || []
  })

const ofRules = (local: readonly LocalRule[], wanted: LocalRule['kind']): readonly AskedBuffer[] =>
  local
    .filter(({ kind }) => kind === wanted)
    .flatMap(({ limit, unit }) => {
      const written = LOCAL_LENGTH_UNITS.find((one) => one === unit) ?? LOCAL_LENGTH_UNITS[0] ?? 'ft'
      return asBuffer({ text: limit, unit: written }, 'the crew’s rule', false) ?? []
    })

function asBuffer(entered: Entered<LengthUnit>, source: string, byHand: boolean): AskedBuffer | undefined {
  const read = typedFigure(entered, 'length', 'zero-too')
  return read && { metres: lengthSi(read), words: enteredWords(entered), source, byHand }
}
