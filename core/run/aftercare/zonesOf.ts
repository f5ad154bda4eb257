import { typedFigure } from '../../quantity/entered'
import type { ApplicationDraft } from '../../draft/applicationShape'
import type { LibraryArea } from '../../draft/fromLibrary'
import { lengthSi } from '../../quantity/quantity'
import type { WaterZone } from './waterIn'

/** The irrigation zones of the lawns that are treated, each once, as far as their output was caught. */
export function zonesOf(
  { lawns }: Pick<ApplicationDraft, 'lawns'>,
  areas: readonly LibraryArea[],
): readonly WaterZone[] {
  const treated = new Set(
    lawns.flatMap(({ treated: is, source }) => (is === 'yes' && source ? [source.id] : [])),
  )
  const found = areas
    .filter(({ id }) => treated.has(id))
    .flatMap(({ name, document: { irrigation } }): readonly WaterZone[] => {
      if (irrigation.kind !== 'zone') return []
      const output = typedFigure(irrigation.output, 'length')
      return output ? [{ name: irrigation.zone || name, output: lengthSi(output) }] : []
    })
  return [...new Map(found.map((zone) => [zone.name, zone])).values()]
}
