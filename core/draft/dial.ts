import type { Figure } from '../working/figures'
import { askCurve } from '../calibration/askCurve'
import type { LibraryCalibration } from '../calibration/calibrationInForce'
import type { CalibrationToday } from '../calibration/calibrationToday'
import { dialText } from '../calibration/dialText'
import { likeGrain, type Grained } from '../calibration/likeGrain'
import { spreaderCurve, type SpreaderCurve } from '../calibration/spreaderCurve'
import { isRateReached } from '../quantity/tolerance'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import type { ApplicationDraft } from './applicationShape'

/** Where the dial stands for the work, and where that comes from. */
export interface DialAnswer {
  /** As a hand can set it. */
  readonly setting: string
  /**
   * `calibration`: the tested setting gives the rate. `curve`: read off all calibrations. `hand`: somebody
   * overruled it. `printed`: a number off the package, a place to begin. `untested`: the tested setting,
   * though it does not give the rate.
   */
  readonly from: 'calibration' | 'curve' | 'hand' | 'printed' | 'untested'
  /** Kg on each m2 that one pass puts down at it; undefined where nothing tested says so. */
  readonly perPass: number | undefined
  /** What the curve would say, where it knows; for what overrules it. */
  readonly byCurve: CurveDial | undefined
}

/** What a spreader's curve says for a rate of one pass. */
export interface CurveDial {
  readonly setting: string
  /** One standard deviation of the flow, as a share. */
  readonly doubt: number | undefined
  /** Day of the newest calibration in it, YYYY-MM-DD. */
  readonly newest: string
}

/** What is known of the spreader and its products beside the draft. */
export interface DialLibrary {
  readonly calibrations: readonly LibraryCalibration[]
  readonly products: readonly Grained[]
}

/**
 * Half the flow is near two thirds of the dial: where two passes on an untried spreader begin (trade.md 3).
 */
const UNTRIED_SHARE = 2 / 3

/**
 * The dial for the rate of one pass: an answer, not something to type.
 * @param wanted kg on each m2 of one pass; undefined while no rate is known
 * @param day YYYY-MM-DD; later calibrations are not looked at
 * @returns undefined for wet work, and where neither a calibration nor the package says anything
 * Source: trade.md 3, asking the curve; half the rate is not half the number.
 */
export function dialFor(
  draft: ApplicationDraft,
  calibration: CalibrationToday | undefined,
  wanted: number | undefined,
  passes: number,
  library: DialLibrary,
  day: string,
  book: WorkingBook = closedWorkingBook,
): DialAnswer | undefined {
  if (draft.method !== 'spread') return undefined
  const typed = draft.spread.dial?.trim() ?? ''
  const tested = draft.spread.calibration.setting.trim()
  const byCurve =
    calibration && wanted !== undefined
      ? curveDial(draft, calibration, wanted, library, day, 'dial', book)
      : undefined
  if (typed !== '') {
    const perPass =
      calibration &&
      (typed === tested ? calibration.perPass : rateAt(draft, calibration, typed, library, day))
    return { setting: typed, from: 'hand', perPass, byCurve }
  }
  if (!calibration) return printedDial(draft, passes, library)
  if (wanted === undefined || isRateReached(calibration.perPass, wanted))
    return tested === ''
      ? undefined
      : { setting: tested, from: 'calibration', perPass: calibration.perPass, byCurve }
  if (byCurve) return { setting: byCurve.setting, from: 'curve', perPass: wanted, byCurve }
  return tested === ''
    ? undefined
    : { setting: tested, from: 'untested', perPass: calibration.perPass, byCurve }
}

const curveOf = (
  { products: [product] }: ApplicationDraft,
  library: DialLibrary,
  day: string,
): SpreaderCurve | undefined =>
  product &&
  spreaderCurve(library.calibrations, [product.name, ...likeGrain(library.products, product.name)], day)

/**
 * The setting that the curve gives for a rate of one pass, kg on each m2; undefined where that would be a
 * guess.
 */
export function curveDial(
  draft: ApplicationDraft,
  { width, speedToday }: Pick<CalibrationToday, 'width' | 'speedToday'>,
  rate: number,
  library: DialLibrary,
  day: string,
  figure: Figure = '',
  book: WorkingBook = closedWorkingBook,
): CurveDial | undefined {
  const curve = curveOf(draft, library, day)
  if (draft.method !== 'spread' || !curve || !speedToday) return undefined
  const question = { find: 'setting', rate, passes: 1, swath: width, speed: speedToday } as const
  const asked = askCurve(curve, question, figure, book)
  if (!asked.ok || asked.value.reach === 'guess') return undefined
  return { setting: dialText(asked.value.setting), doubt: asked.value.doubt, newest: curve.newest }
}

/** Kg on each m2 of one pass at a setting; undefined where the curve does not reach it. */
function rateAt(
  draft: ApplicationDraft,
  { width, speedToday }: CalibrationToday,
  setting: string,
  library: DialLibrary,
  day: string,
): number | undefined {
  const curve = curveOf(draft, library, day)
  const dial = Number(setting)
  if (!curve || !speedToday || !Number.isFinite(dial)) return undefined
  const question = { find: 'rate', setting: dial, passes: 1, swath: width, speed: speedToday } as const
  const gives = askCurve(curve, question, '', closedWorkingBook)
  return gives.ok && gives.value.reach !== 'guess' ? gives.value.rate : undefined
}

/** The number that a label prints for the spreader of a draft; undefined where it prints none. */
function printedNumber(
  { products: [product], spread }: ApplicationDraft,
  { products }: DialLibrary,
): string | undefined {
  const same = (one: string, other: string) => one.trim().toLowerCase() === other.trim().toLowerCase()
  const label = product && products.find(({ name }) => same(name, product.name))
  return label?.document.dials
    ?.find(
      ({ spreader, dial }) =>
        dial.trim() !== '' && spreader.trim() !== '' && same(spreader, spread.equipment),
    )
    ?.dial.trim()
}

/** Somebody else's number, as a place to begin: all of it for one pass, two thirds for more. */
function printedDial(draft: ApplicationDraft, passes: number, library: DialLibrary): DialAnswer | undefined {
  const printed = printedNumber(draft, library)
  const number = Number(printed)
  if (printed === undefined) return undefined
  const setting = passes > 1 && Number.isFinite(number) ? dialText(number * UNTRIED_SHARE) : printed
  return { setting, from: 'printed', perPass: undefined, byCurve: undefined }
}
