import type { Figure } from '../working/figures'
import type { CheckLevel, PlanCheckCode } from '../plan/plan'
import type { JarTest } from './localRule'
import type { Entered } from '../quantity/entered'
import type { ApplicationDraft, AreaDraft, OwnRate, ProductDraft } from '../draft/applicationShape'

export type CheckCode =
  | PlanCheckCode
  | 'calibration-stale'
  | 'calibration-undated'
  | 'calibration-other-product'
  | 'calibration-other-nozzles'
  | 'calibration-single-run'
  | 'calibration-uneven'
  | 'speed-questioned'
  | 'speed-unlikely'
  | 'pace-unknown'
  | 'setting-off'
  | 'rate-other-area-unit'
  | 'rate-unlikely'
  | 'lawn-unlikely'
  | 'carrier-unlikely'
  | 'products-fill-tank'
  | 'exclusion-astray'
  | 'size-changed'
  | 'label-changed'
  | 'calibration-newer'
  | 'above-max-per-year'
  | 'active-above-max-per-year'
  | 'year-not-counted'
  | 'too-many-per-year'
  | 'too-soon'
  | 'nutrient-twice'
  | 'group-run'
  | 'nitrogen-over-year'
  | 'nitrogen-not-known'
  | 'grass-harmed'
  | 'grass-not-named'
  | 'seeding'
  | 'other-method'
  | 'mix-heavy'
  | 'mix-never'
  | 'mix-untested'
  | 'clean-out-first'
  | 'iron-with-phosphate'
  | 'label-says'
  | 'spray-volume'
  | 'local-rule'
  | 'dial-from-curve'
  | 'phosphorus-enough'
  | 'potassium-enough'
  | 'soil-temperature'
  | 'too-hot'
  | 'hot-by-house'
  | 'cold-by-house'
  | 'turf-resting'
  | 'nitrogen-resting'
  | 'salt-in-heat'
  | 'nitrogen-form'
  | 'little-water'
  | 'temperature-unlikely'
  | 'nitrogen-root-disease'
  | 'order-of-visit'
  | 'other-growth'
  | 'dial-printed'
  | 'forecast-hot'
  | 'forecast-wind'
  | 'forecast-rain'
  | 'estimated-soil'
  | 'wind'
  | 'wind-over-label'
  | 'drops-too-fine'
  | 'drops-unknown'

/**
 * A way out of a check: a new value for one field of the document (or for `plannedFor`, the job's day, and
 * `order`, its place in the visit), or (no value) the field to look at.
 */
export interface Remedy {
  readonly label: string
  readonly path: string
  readonly value?:
    | Entered
    | string
    | number
    | AreaDraft
    | ProductDraft
    | ApplicationDraft['spread' | 'spray']['calibration']
    | readonly OwnRate[]
  /** What the crew found of a pair, to be kept among its jar tests. */
  readonly jar?: readonly JarTest[]
}

/** One sentence with its figure and limit, where the limit comes from, and what would clear it. */
export interface Check {
  readonly level: CheckLevel
  readonly code: CheckCode
  readonly productId?: string
  readonly message: string
  readonly source: string
  readonly remedies: readonly Remedy[]
  /** The sheet's page of working behind it, or how the lines of its own come about. */
  readonly working?: Figure | (() => readonly string[])
}
