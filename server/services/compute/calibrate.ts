import { calibrateRuns, type CalibrationRequest } from '#core/calibration/calibrateRuns'
import type { ComputeIssue } from '#core/computeIssue'
import type { Result } from '#core/result'
import { openWorkingBook } from '#core/working/working'
import type { CalibrateAnswer, CalibrateRequest } from '#shared/schemas/compute/calibrate'
import { answeredWorking } from './answeredWorking'

/** A calibration from figures, for other programs. */
export function answerCalibrate(request: CalibrateRequest): Result<CalibrateAnswer, readonly ComputeIssue[]> {
  const book = openWorkingBook()
  const calibrated = calibrateRuns(requestOf(request), book)
  if (!calibrated.ok) return calibrated
  const { perPass, flow, spread, band, speed, courseLength, trust } = calibrated.value
  const shared = {
    spread: spread ?? null,
    band: band ?? null,
    speed: speed === undefined ? null : { value: speed, unit: 'm/s' as const },
    trust: [...trust],
    working: answeredWorking(book),
  }
  if (request.kind === 'spreader') {
    return {
      ok: true,
      value: { perPass: figure(perPass, 1, 'kg/m2'), flow: figure(flow, 1, 'kg/s'), ...shared },
    }
  }
  const landed = figure(perPass, LITRES, 'L/m2')
  const drawn = request.method === 'hose-end' ? landed : null
  return {
    ok: true,
    value: {
      carrier: request.method === 'hose-end' ? null : landed,
      flow: figure(flow, LITRES, 'L/s'),
      ...shared,
      ...(courseLength !== undefined && { courseLength: { value: courseLength, unit: 'm' as const } }),
      ...(drawn && { drawn }),
    },
  }
}

/** Litres in a cubic metre. */
const LITRES = 1000

const figure = <U extends string>(si: number | undefined, factor: number, unit: U) =>
  si === undefined ? null : { value: si * factor, unit }

function requestOf(request: CalibrateRequest): CalibrationRequest {
  const { method, speed, timed, scaleStep, on, today } = request
  const shared = {
    method,
    passes: request.kind === 'spreader' ? request.passes : 1,
    ...(speed && { speed }),
    ...(timed && { timed }),
    ...(scaleStep && { step: scaleStep }),
    ...(on && { on }),
    ...(today && { today }),
  }
  switch (request.method) {
    case 'known area':
    case 'drain':
      return { ...shared, length: request.length, width: request.width, runs: request.runs }
    case 'catch':
      return {
        ...shared,
        length: request.length,
        width: request.width,
        runs: request.runs.map(({ caught }) => ({ used: caught })),
      }
    case 'timed catch':
      return {
        ...shared,
        width: request.width,
        runs: request.runs.map(({ caught, time }) => ({ used: caught, time })),
      }
    case 'refill':
    case 'one nozzle':
      return { ...shared, length: request.length, width: request.width, runs: request.runs }
    case 'nozzle catch':
      return {
        ...shared,
        width: request.spacing,
        runs: [],
        catches: { time: request.time, amounts: request.catches },
      }
    case '1/128 acre':
      return { ...shared, width: request.spacing, runs: request.runs }
    case 'hose-end':
      return { ...shared, covered: request.covered, runs: request.runs }
    default:
      return request satisfies never
  }
}
