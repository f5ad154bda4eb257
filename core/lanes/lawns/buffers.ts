import { inset, intersect, subtract, unite, type NotCut, type Polygon } from '../../ground/clipping'
import { ringArea, type Ring } from '../../ground/plane'
import { sumOf } from '../../quantity/counting'
import { ok, type Result } from '../../result'

/** Ground that stays untreated along water. */
export interface KeptOut {
  /** m2 */
  readonly size: number
  readonly ground: readonly Polygon[]
}

const WATER = /\b(pond|lake|creek|stream|river|brook|ditch|canal|water|wetland|swale|pool|fountain|bay)s?\b/i
/** A water feature by its name: what a buffer is kept to. */
export const isWater = (what: string): boolean => WATER.test(what)

/**
 * Ground less a strip along open water.
 * @param water outlines of it @param buffer m
 * Source: trade.md 5 (buffer to water).
 */
export function keptFromWater(
  ground: readonly Polygon[],
  water: readonly Ring[],
  buffer: number,
): Result<{ readonly ground: readonly Polygon[]; readonly keptOut: KeptOut | undefined }, NotCut> {
  const whole = ok({ ground, keptOut: undefined })
  if (water.length === 0 || !(buffer > 0)) return whole
  const united = unite(water)
  if (!united.ok) return united
  const grown = inset(united.value, -buffer)
  if (!grown.ok) return grown
  const strip = intersect(ground, grown.value)
  const left = subtract(ground, grown.value)
  if (!strip.ok) return strip
  if (!left.ok) return left
  const size = groundSize(strip.value)
  return size > LEAST_SIZE ? ok({ ground: left.value, keptOut: { size, ground: strip.value } }) : whole
}

/** Less is what rounding leaves along an edge that was taken out already. m2 */
const LEAST_SIZE = 0.01

/** m2 */
export const groundSize = (ground: readonly Polygon[]): number =>
  sumOf(ground, ([outline = [], ...holes]) => ringArea(outline) - sumOf(holes, ringArea))
