import type { ApplicationDraft } from '../draft/applicationShape'
import type { LibraryArea, LibraryProduct } from '../draft/fromLibrary'
import { GRASSES } from '../ground/grasses'
import type { TurfState } from '../ground/turfStates'
import { groupCodes } from '../label/groupCodes'
import type { ProductKind } from '../label/productDocument'
import type { LineFigure } from '../label/productFields'
import type { ProductDocument } from '../label/productShape'
import { lineSays } from '../label/read/readLine'
import { typedFigure } from '../quantity/entered'
import { lengthSi, speedSi, timeSi } from '../quantity/quantity'
import type { UnitSystem } from '../quantity/systems'
import { celsius } from '../quantity/temperature'
import { SECONDS_PER } from '../quantity/units'

/**
 * What labels and place ask of the hour in which an application goes out; SI and hours, undefined: nothing is
 * asked. The house asks besides, by what the application is.
 */
export interface ConditionLimits {
  readonly method: ApplicationDraft['method']
  /** Whether it is to stay on the leaf. */
  readonly forLeaf: 'yes' | 'no'
  /** Whether spray needs a dry leaf: where it has to dry on it. */
  readonly dryLeaf: 'asked' | 'no matter'
  readonly kinds: readonly ProductKind[]
  /** A herbicide of the growth-hormone group. Absent in plans frozen before 0.14, as the next two. */
  readonly hormone?: 'yes' | undefined
  /** Nitrogen in it; quick where less than half is slow release. */
  readonly nitrogen?: 'quick' | 'slow' | undefined
  /** Cool-season turf among the areas, and the state of the turf as it was noted. */
  readonly grass?: 'cool' | 'warm' | undefined
  readonly turf?: TurfState | undefined
  /** m/s */
  readonly windMost?: number | undefined
  /** °C */
  readonly airMost?: number | undefined
  readonly soilFrom?: number | undefined
  readonly soilTo?: number | undefined
  /** Depth to water in, m, and within how many hours. */
  readonly waterDepth?: number | undefined
  readonly waterHours?: number | undefined
  /** Hours without rain after it. */
  readonly rainfastHours?: number | undefined
  /** Whether the place can water it in by itself. */
  readonly irrigation: 'zone' | 'none'
  /** Days of the week on which it is mown, 0 Sunday; and hours that must lie between, before and after. */
  readonly mownOn: readonly number[]
  readonly mowBeforeHours?: number | undefined
  readonly mowAfterHours?: number | undefined
  /** The units its sentences are read in. */
  readonly units: UnitSystem
}

/** What is asked where no label is known: of plans frozen before labels went with them. */
export const limitsWithoutLabels = (
  { method, fate }: Pick<ApplicationDraft, 'method' | 'fate'>,
  units: UnitSystem,
): ConditionLimits => ({
  method,
  forLeaf: fate?.where === 'leaf' ? 'yes' : 'no',
  dryLeaf: 'no matter',
  irrigation: 'none',
  mownOn: [],
  kinds: [],
  units,
})

/** Half of the nitrogen slow, and the rest is no quick feed. */
const SLOW_SHARE = 50
/** The growth-hormone herbicides by their group as labels print it. */
const HORMONE_GROUPS = ['4', 'O']

/**
 * The strictest of what the labels and the areas of one application ask: wind and heat of the least, water
 * and waiting of the most, soil within all.
 * @param units the sentences are read in
 */
export function conditionLimits(
  draft: ApplicationDraft,
  products: readonly LibraryProduct[],
  areas: readonly LibraryArea[],
  units: UnitSystem,
): ConditionLimits {
  const found = draft.products.flatMap(({ source }) => {
    const product = source && products.find(({ id }) => id === source.id)
    const line = product?.document.lines.find(({ id }) => id === source?.line)
    return product ? [{ document: product.document, figures: line && lineSays(line).figures }] : []
  })
  const documents = found.map(({ document }) => document)
  const read = <F extends LineFigure>(name: F) => found.flatMap(({ figures }) => figures?.[name] ?? [])
  const hours = (name: 'rainfast' | 'mowBefore' | 'mowAfter') =>
    most(read(name).map((time) => timeSi(time) / SECONDS_PER.h))
  const treated = new Set(
    draft.lawns.flatMap(({ treated: is, source }) => (is === 'yes' && source ? [source.id] : [])),
  )
  const ground = areas.filter(({ id }) => treated.has(id))
  const rainfastHours = hours('rainfast')
  const forLeaf = draft.fate?.where === 'leaf' ? 'yes' : 'no'
  return {
    method: draft.method,
    forLeaf,
    dryLeaf: rainfastHours === undefined && forLeaf === 'no' ? 'no matter' : 'asked',
    kinds: [...new Set(documents.map(({ kind }) => kind))],
    hormone: documents.some(isHormone) ? 'yes' : undefined,
    nitrogen: nitrogenOf(documents),
    grass: seasonOf(ground),
    turf: draft.day?.turf,
    windMost: least(read('windMost').map((speed) => speedSi(speed))),
    airMost: least(read('airMost').map(celsius)),
    soilFrom: most(read('soilFrom').map(celsius)),
    soilTo: least(read('soilTo').map(celsius)),
    waterDepth: most(read('waterDepth').map((depth) => lengthSi(depth))),
    waterHours: least(read('waterWithin').map((time) => timeSi(time) / SECONDS_PER.h)),
    rainfastHours,
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

const isHormone = ({ kind, actives }: ProductDocument): boolean =>
  kind === 'post-emergent herbicide' &&
  actives.some(({ group }) => groupCodes(group, 'herbicide').some((code) => HORMONE_GROUPS.includes(code)))

function nitrogenOf(documents: readonly ProductDocument[]): ConditionLimits['nitrogen'] {
  const feeds = documents.filter(({ analysis }) => (percentOf(analysis.n) ?? 0) > 0)
  if (feeds.length === 0) return undefined
  return feeds.some(({ analysis }) => (percentOf(analysis.slowN) ?? 0) < SLOW_SHARE) ? 'quick' : 'slow'
}
const percentOf = (entered: ProductDocument['analysis']['n']): number | undefined =>
  typedFigure(entered, 'percent', 'zero-too')?.value

/** Cool-season where any of it is: it is the one that suffers in heat. */
function seasonOf(ground: readonly LibraryArea[]): ConditionLimits['grass'] {
  const seasons = ground.flatMap(({ document }) =>
    document.grass.map(({ species }) => GRASSES[species].season),
  )
  if (seasons.length === 0) return undefined
  return seasons.includes('cool') ? 'cool' : 'warm'
}

const least = (values: readonly number[]): number | undefined =>
  values.length === 0 ? undefined : Math.min(...values)
const most = (values: readonly number[]): number | undefined =>
  values.length === 0 ? undefined : Math.max(...values)
