import { daysBetween } from '../calendar/daysBetween'
import { fieldReader } from '../quantity/fieldReader'
import { closedWorkingBook } from '../working/working'
import type { LibraryCalibration } from './calibrationInForce'
import { readCalibrationDocument } from './calibrationDocument'
import { settingCurve, type SettingCurve } from './settingCurve'
import type { SettingPoint } from './settingPoint'

export interface SpreaderCurve {
  readonly curve: SettingCurve
  readonly points: readonly SettingPoint[]
  /** Day of the newest calibration in it, YYYY-MM-DD; blank without one. */
  readonly newest: string
  /** Calibrations that can't be on it: no speed was timed, or the setting is no number. */
  readonly left: number
  /** Speed and swath of the newest, SI: what a question starts from. */
  readonly speed: number | undefined
  readonly width: number | undefined
}

/**
 * All calibrations of one spreader with one product, or with products of like grain, as a curve of flow
 * against setting; every run is a point. Flow = rate x swath x speed, so that calibrations at other speeds
 * and swaths stand on one curve.
 * @param products names of the product and of those that run alike
 * @param day YYYY-MM-DD; later ones are not in it, older ones count for less
 */
export function spreaderCurve(
  calibrations: readonly LibraryCalibration[],
  products: readonly string[],
  day: string,
): SpreaderCurve {
  const wanted = products.map((product) => product.trim().toLowerCase())
  const own = calibrations
    .filter(
      ({ document }) =>
        document.kind === 'spread' &&
        wanted.includes(document.course.product.trim().toLowerCase()) &&
        document.course.on !== '' &&
        document.course.on <= day,
    )
    .toSorted((a, b) => (a.document.course.on < b.document.course.on ? -1 : 1))
  const read = own.flatMap(({ document }) => {
    const measured = readCalibrationDocument(document, fieldReader(), closedWorkingBook)
    const setting =
      document.kind === 'spread' && document.course.setting.trim() !== ''
        ? Number(document.course.setting)
        : Number.NaN
    return measured?.speed && Number.isFinite(setting)
      ? [
          {
            setting,
            on: document.course.on,
            speed: measured.speed,
            width: measured.width,
            rates: measured.measured.values,
            shared: measured.errors.shared,
          },
        ]
      : []
  })
  const points = read.flatMap(({ setting, on, speed, width, rates, shared }) =>
    rates.map((rate): SettingPoint => ({
      setting,
      flow: rate * width * speed,
      age: daysBetween(on, day),
      shared,
    })),
  )
  const last = read.at(-1)
  return {
    curve: settingCurve(points),
    points,
    newest: last?.on ?? '',
    left: own.length - read.length,
    speed: last?.speed,
    width: last?.width,
  }
}
