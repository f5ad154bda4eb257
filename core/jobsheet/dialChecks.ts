import { askCurve } from '../calibration/askCurve'
import { dialText } from '../calibration/dialText'
import type { KeptCalibration } from '../calibration/calibrationInForce'
import { likeGrain, type Grained } from '../calibration/likeGrain'
import { spreaderCurve } from '../calibration/spreaderCurve'
import { dayText } from '../calendar/dayText'
import { formatDeviation } from '../quantity/format'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import type { ApplicationSheet } from './applicationSheet'
import { SETTING_TOLERANCE } from './calibrationChecks'
import type { ApplicationDocument } from './document'
import type { SheetCheck } from './sheetCheck'

/** Where the dial stands on the day: the setting chosen for it, else the calibrated one. */
export const dialOf = ({
  dial,
  calibration,
}: Pick<ApplicationDocument['spread'], 'dial' | 'calibration'>): string => dial?.trim() || calibration.setting

/**
 * The setting that the spreader's curve gives for a rate of one pass; undefined where that would be a guess.
 * @param perPass kg on each m2
 */
export function dialForRate(
  { method, products }: ApplicationDocument,
  { calibration }: Pick<ApplicationSheet, 'calibration'>,
  calibrations: readonly KeptCalibration[],
  shelf: readonly Grained[],
  day: string,
  perPass: number,
  figure = '',
  book: WorkingBook = closedWorkingBook,
): string | undefined {
  const [product] = products
  const speed = calibration?.speedToday
  if (method !== 'spread' || !calibration || !speed || !product) return undefined
  const curve = spreaderCurve(calibrations, [product.name, ...likeGrain(shelf, product.name)], day)
  const asked = askCurve(
    curve,
    { find: 'setting', rate: perPass, passes: 1, swath: calibration.width, speed },
    figure,
    book,
  )
  return asked.ok && asked.value.reach !== 'guess' ? dialText(asked.value.setting) : undefined
}

/** A number printed on the package for this spreader: where to begin, never where to end. */
function printedDial(
  { id, name }: ApplicationDocument['products'][number],
  { equipment, calibration }: ApplicationDocument['spread'],
  shelf: readonly Grained[],
): readonly SheetCheck[] {
  const own = equipment.trim().toLowerCase()
  const printed = shelf
    .find((one) => one.name === name)
    ?.document.dials?.find(
      ({ spreader, dial }) => dial.trim() !== '' && own !== '' && spreader.trim().toLowerCase() === own,
    )
  if (!printed || calibration.setting.trim() === printed.dial.trim()) return []
  return [
    {
      level: 'note',
      code: 'dial-printed',
      productId: id,
      source: 'the package, a guess',
      message:
        `${name} prints setting ${printed.dial} for ${equipment}: somebody else's number, good to begin ` +
        'calibrating with.',
      remedies: [
        { label: `Begin at ${printed.dial}`, path: 'spread.calibration.setting', value: printed.dial },
      ],
    },
  ]
}

/**
 * What the spreader's whole curve says of the dial: the setting for the wanted rate of one pass where the
 * calibrated one does not give it, and what a setting chosen for the day should give.
 * @param calibrations of the spreader; @param day YYYY-MM-DD
 * Source: trade.md 3, asking the curve.
 */
export function dialChecks(
  { method, spread, products }: ApplicationDocument,
  { calibration, wantedPerPass }: Pick<ApplicationSheet, 'calibration' | 'wantedPerPass'>,
  calibrations: readonly KeptCalibration[],
  shelf: readonly Grained[],
  day: string,
): readonly SheetCheck[] {
  const speed = calibration?.speedToday
  const [product] = products
  if (method === 'spread' && !calibration && product) return printedDial(product, spread, shelf)
  if (method !== 'spread' || !calibration || !speed || wantedPerPass === undefined || !product) return []
  const curve = spreaderCurve(calibrations, [product.name, ...likeGrain(shelf, product.name)], day)
  const asked = askCurve(
    curve,
    { find: 'setting', rate: wantedPerPass, passes: 1, swath: calibration.width, speed },
    '',
    closedWorkingBook,
  )
  // A guess from one tested setting belongs on the bench, not on a job.
  if (!asked.ok || asked.value.reach === 'guess') return []
  const { setting, spread: band } = asked.value
  const text = dialText(setting)
  const told =
    `${band === undefined ? '' : `, ${(200 * band).toFixed(0)} % either way`}, last tested ` +
    dayText(curve.newest)
  const base = { code: 'dial-from-curve' as const, source: 'the spreader’s curve', productId: product.id }
  const remedy = { label: `Set the dial to ${text}`, path: 'spread.dial', value: text }
  const dial = spread.dial?.trim() ?? ''
  if (dial === '')
    return Math.abs(calibration.perPass / wantedPerPass - 1) <= SETTING_TOLERANCE
      ? []
      : [
          {
            ...base,
            level: 'note',
            message: `For this rate the curve says setting ${text}${told}.`,
            remedies: [remedy],
          },
        ]
  const gives = askCurve(
    curve,
    { find: 'rate', setting: Number(dial), passes: 1, swath: calibration.width, speed },
    '',
    closedWorkingBook,
  )
  if (!gives.ok || gives.value.reach === 'guess')
    return [
      {
        ...base,
        level: 'warn',
        message: `Setting ${dial} lies beyond what was tested: the curve says ${text} for this rate${told}.`,
        remedies: [remedy],
      },
    ]
  const off = gives.value.rate / wantedPerPass - 1
  if (Math.abs(off) > SETTING_TOLERANCE)
    return [
      {
        ...base,
        level: 'warn',
        message:
          `By the curve setting ${dial} gives ${formatDeviation(off)} against what each pass needs; ` +
          `${text} would be right${told}.`,
        remedies: [remedy],
      },
    ]
  return [
    {
      ...base,
      level: 'note',
      message: `Setting ${dial} is read off the curve${told}: weigh back after the first lanes.`,
      remedies: [],
    },
  ]
}
