import type { Point } from '../ground/plane'
import { flowAt, type SettingCurve } from './settingCurve'

/** A curve drawn small: its line as SVG takes points, and its tested settings. */
export interface CurveLine {
  readonly path: string
  readonly dots: readonly Point[]
}

const STEPS = 24
const EDGE = 3

/**
 * A setting curve scaled into a box, from nothing flowing at its foot; undefined with fewer than two settings
 * or where the curve answers nothing.
 * @param width, height of the box, in drawing units
 */
export function curveLine(curve: SettingCurve, width: number, height: number): CurveLine | undefined {
  const { means } = curve
  const [first, last] = [means[0], means.at(-1)]
  const most = Math.max(...means.map(({ flow }) => flow))
  if (!first || !last || last.setting <= first.setting || !(most > 0)) return undefined
  const at = (setting: number, flow: number): Point => [
    EDGE + ((width - 2 * EDGE) * (setting - first.setting)) / (last.setting - first.setting),
    height - EDGE - ((height - 2 * EDGE) * flow) / most,
  ]
  const points = Array.from({ length: STEPS + 1 }, (_, i) => {
    const setting = first.setting + ((last.setting - first.setting) * i) / STEPS
    const read = flowAt(curve, setting)
    return read.ok ? at(setting, read.value.flow) : undefined
  }).filter((point) => point !== undefined)
  if (points.length < 2) return undefined
  return {
    path: points.map((point) => point.map((one) => one.toFixed(1)).join(',')).join(' '),
    dots: means.map(({ setting, flow }) => at(setting, flow)),
  }
}
