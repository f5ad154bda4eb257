import type { ApplicationDraft } from '../draft/applicationShape'
import type { LibraryArea, LibraryProduct } from '../draft/fromLibrary'
import type { LineFigure } from '../label/productFields'
import { lineSays } from '../label/read/readLine'
import { lengthSi, speedSi, timeSi } from '../quantity/quantity'
import type { UnitSystem } from '../quantity/systems'
import { celsius } from '../quantity/temperature'
import { SECONDS_PER } from '../quantity/units'
import type { DayWants } from '../season/whichDay'

/**
 * What the labels and the areas of a visit ask of its day, the strictest of each: wind and heat of the least,
 * water and waiting of the most.
 * @param units the reasons are read in
 */
export function dayWants(
  drafts: readonly ApplicationDraft[],
  products: readonly LibraryProduct[],
  areas: readonly LibraryArea[],
  units: UnitSystem,
): DayWants {
  const lines = drafts.flatMap((draft) =>
    draft.products.flatMap(({ source }) => {
      const product = source && products.find(({ id }) => id === source.id)
      return product?.document.lines.filter(({ id }) => id === source?.line) ?? []
    }),
  )
  const read = <F extends LineFigure>(name: F) => lines.flatMap((line) => lineSays(line).figures[name] ?? [])
  const hours = (name: 'rainfast' | 'mowBefore' | 'mowAfter') =>
    most(read(name).map((time) => timeSi(time) / SECONDS_PER.h))
  const treated = new Set(
    drafts.flatMap(({ lawns }) =>
      lawns.flatMap(({ treated: is, source }) => (is === 'yes' && source ? [source.id] : [])),
    ),
  )
  const ground = areas.filter(({ id }) => treated.has(id))
  const rainfastHours = hours('rainfast')
  const waterHours = least(read('waterWithin').map((time) => timeSi(time) / SECONDS_PER.h))
  return {
    windMost: least(read('windMost').map((speed) => speedSi(speed))),
    airMost: least(read('airMost').map(celsius)),
    waterDepth: most(read('waterDepth').map((depth) => lengthSi(depth))),
    waterHours,
    rainfastHours,
    dryLeaf:
      rainfastHours === undefined && !drafts.some(({ fate }) => fate?.where === 'leaf')
        ? 'no matter'
        : 'asked',
    irrigation:
      ground.length > 0 && ground.every(({ document }) => document.irrigation.kind === 'zone')
        ? 'zone'
        : 'none',
    mownOn: [...new Set(ground.flatMap(({ document }) => document.mownOn ?? []))],
    mowBeforeHours: hours('mowBefore'),
    mowAfterHours: hours('mowAfter'),
    units,
  }
}

const least = (values: readonly number[]): number | undefined =>
  values.length === 0 ? undefined : Math.min(...values)
const most = (values: readonly number[]): number | undefined =>
  values.length === 0 ? undefined : Math.max(...values)
