import { GRASSES, type GrassName } from '../ground/grasses'

/** Heat units after which the growth held back by a regulator comes back. */
export interface RegulatorUnits {
  /** °C */
  readonly base: number
  /** Degree-days C */
  readonly threshold: number
}

/**
 * Published on greens. Lawn heights are longer and little measured: the crew's own look at regrowth adjusts
 * them, and the label's days stay the outer limit.
 * Source: trade.md 10 (Kreuser and co-workers; Reasor et al. 2018).
 */
const ON_COOL_GREENS: Readonly<Record<string, RegulatorUnits>> = {
  'trinexapac-ethyl': { base: 0, threshold: 200 },
  'prohexadione-calcium': { base: 0, threshold: 280 },
  flurprimidol: { base: 0, threshold: 270 },
  paclobutrazol: { base: 0, threshold: 310 },
}
const ON_BERMUDA_GREENS: Readonly<Record<string, RegulatorUnits>> = {
  'trinexapac-ethyl': { base: 10, threshold: 220 },
  'prohexadione-calcium': { base: 10, threshold: 120 },
}

/**
 * What is published of an active on a stand.
 * @param grasses of the stand; where one of them is a cool-season grass its figures count
 * @returns undefined where nothing is published
 */
export function regulatorUnits(active: string, grasses: readonly GrassName[]): RegulatorUnits | undefined {
  const name = active.trim().toLowerCase()
  const warm = grasses.length > 0 && grasses.every((grass) => GRASSES[grass].season === 'warm')
  return (warm ? ON_BERMUDA_GREENS : ON_COOL_GREENS)[name]
}
