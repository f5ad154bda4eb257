import { nitrogenWanted, type GrassName } from '../ground/grasses'
import { isUnder } from '../quantity/tolerance'
import { nitrogenLaid, overWanted, type NitrogenRow } from './nitrogenLaid'

/** What lies on one lawn this year against what its grass wants; kg N on each m2. */
export interface LawnYear {
  readonly id: string
  readonly name: string
  readonly laid: number
  /** Applications whose nitrogen the label did not tell. */
  readonly unknown: number
  readonly wanted: readonly [number, number]
  readonly state: 'short' | 'within' | 'over'
}

/**
 * Nitrogen of one calendar year on the lawns of a site whose size and grass are known, in their order.
 * @param size m2 today; @param year YYYY
 * Source: trade.md 5 and 10.
 */
export function nitrogenByLawn(
  lawns: readonly {
    readonly id: string
    readonly name: string
    readonly size: number | undefined
    readonly grasses: readonly GrassName[]
  }[],
  rows: readonly (NitrogenRow & { readonly areaId: string })[],
  year: string,
): readonly LawnYear[] {
  return lawns.flatMap(({ id, name, size, grasses }) => {
    const wanted = nitrogenWanted(grasses)
    if (!size || !wanted) return []
    const own = rows.filter(({ areaId }) => areaId === id)
    const { perArea, unknown } = nitrogenLaid(own, size, year)
    const state = overWanted(perArea, wanted) ? 'over' : isUnder(perArea, wanted[0]) ? 'short' : 'within'
    return [
      {
        id,
        name,
        laid: perArea,
        unknown,
        wanted,
        state,
      },
    ]
  })
}
