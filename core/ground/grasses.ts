import { NUTRIENT_UNIT } from '../quantity/nutrientText'

/** A turf grass: its season, and the nitrogen it wants in a year. */
export interface Grass {
  readonly season: 'cool' | 'warm'
  /** Lb N on 1,000 ft2 in a year, from and to. */
  readonly nitrogen: readonly [number, number]
}

/** Source: trade.md 10, nitrogen per grass and year. */
export const GRASSES = {
  'Kentucky bluegrass': { season: 'cool', nitrogen: [2, 4] },
  'perennial ryegrass': { season: 'cool', nitrogen: [2, 4] },
  'tall fescue': { season: 'cool', nitrogen: [2, 4] },
  'fine fescue': { season: 'cool', nitrogen: [1, 2] },
  'creeping bentgrass': { season: 'cool', nitrogen: [2, 4] },
  bermuda: { season: 'warm', nitrogen: [2, 5] },
  zoysia: { season: 'warm', nitrogen: [1, 3] },
  'St Augustine': { season: 'warm', nitrogen: [2, 4] },
  centipede: { season: 'warm', nitrogen: [0.5, 1] },
  kikuyu: { season: 'warm', nitrogen: [2, 4] },
  buffalograss: { season: 'warm', nitrogen: [0.5, 2] },
  bahia: { season: 'warm', nitrogen: [1, 2] },
  'seashore paspalum': { season: 'warm', nitrogen: [2, 4] },
} as const satisfies Readonly<Record<string, Grass>>
export type GrassName = keyof typeof GRASSES
export const GRASS_NAMES = Object.keys(GRASSES) as readonly GrassName[]

/**
 * Nitrogen a stand wants in a year: in a mixed stand the most limiting species rules.
 * @returns kg N on each m2, from and to; undefined where no grass is written down
 * Source: trade.md 2 and 10.
 */
export function nitrogenWanted(species: readonly GrassName[]): readonly [number, number] | undefined {
  if (species.length === 0) return undefined
  const wants = species.map((name) => GRASSES[name].nitrogen)
  const most = (values: readonly number[]) => Math.min(...values) * NUTRIENT_UNIT
  return [most(wants.map(([from]) => from)), most(wants.map(([, to]) => to))]
}
