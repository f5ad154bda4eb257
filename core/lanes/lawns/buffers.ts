import {
  inset,
  intersect,
  polygonsOf,
  subtract,
  unite,
  type NotCut,
  type Polygon,
} from '../../ground/clipping'
import { ringArea, type Ring } from '../../ground/plane'
import { sumOf } from '../../quantity/counting'
import { ok, type Result } from '../../result'

/** Ground that stays untreated beside what must not be reached. */
export interface KeptOut {
  /** m2 */
  readonly size: number
  readonly ground: readonly Polygon[]
}

/** How far is kept from open water and from planting, m. */
export interface Buffers {
  readonly water: number
  readonly beds: number
}

const WATER = /\b(pond|lake|creek|stream|river|brook|ditch|canal|water|wetland|swale|pool|fountain|bay)s?\b/i
const BED = /\b(bed|border|shrub|flower|hedge|garden|planting|perennial|vegetable)s?\b/i
/** Open water by its name: what a buffer is kept to. */
export const isWater = (what: string): boolean => WATER.test(what)
/** Planting by its name. */
export const isBed = (what: string): boolean => BED.test(what)

/**
 * Ground less a strip along open water and along planting.
 * @param taken exclusions with what they are, in words
 * @returns `notCombined` where the outlines can't be cut
 * Source: trade.md 5 (buffer to water).
 */
export function keptOff(
  ground: readonly Polygon[],
  taken: readonly { readonly what: string; readonly rings: readonly Ring[] }[],
  { water, beds }: Buffers,
): Result<{ readonly ground: readonly Polygon[]; readonly keptOut: KeptOut | undefined }, NotCut> {
  const ringsOf = (is: (what: string) => boolean) =>
    taken.filter(({ what }) => is(what)).flatMap(({ rings }) => rings)
  const grown: Polygon[] = []
  for (const [rings, by] of [
    [ringsOf(isWater), water],
    [ringsOf(isBed), beds],
  ] as const) {
    if (rings.length === 0 || !(by > 0)) continue
    const united = unite(rings)
    if (!united.ok) return united
    const wider = inset(polygonsOf(united.value), -by)
    if (!wider.ok) return wider
    grown.push(...wider.value)
  }
  const whole = ok({ ground, keptOut: undefined })
  if (grown.length === 0) return whole
  const strip = intersect(ground, grown)
  if (!strip.ok) return strip
  const left = subtract(ground, grown)
  if (!left.ok) return left
  const size = groundSize(strip.value)
  return size > LEAST_SIZE ? ok({ ground: left.value, keptOut: { size, ground: strip.value } }) : whole
}

/** Less is what rounding leaves along an edge that was taken out already. m2 */
const LEAST_SIZE = 0.01

/** m2 */
export const groundSize = (ground: readonly Polygon[]): number =>
  sumOf(ground, ([outline = [], ...holes]) => ringArea(outline) - sumOf(holes, ringArea))
