import { openWorkingBook } from '#core/working/working'
import { planApplication } from '#core/plan/planApplication'
import {
  CurveAnswerSchema,
  CurveRequestSchema,
  NozzlesAnswerSchema,
  NozzlesRequestSchema,
  PatternAnswerSchema,
  PatternRequestSchema,
} from '#shared/schemas/compute/bench'
import { CalibrateAnswerSchema, CalibrateRequestSchema } from '#shared/schemas/compute/calibrate'
import {
  CoverageAnswerSchema,
  CoverageRequestSchema,
  LanesAnswerSchema,
  LanesRequestSchema,
} from '#shared/schemas/compute/lanes'
import { MeasureAnswerSchema, MeasureRequestSchema } from '#shared/schemas/compute/measure'
import { ReadLabelAnswerSchema, ReadLabelRequestSchema } from '#shared/schemas/compute/readLabel'
import { SeasonAnswerSchema, SeasonRequestSchema } from '#shared/schemas/compute/season'
import { PlanRequestSchema } from '#shared/schemas/plan'
import { HealthSchema, PlanResponseSchema } from '#shared/schemas/planResponse'
import type * as v from 'valibot'
import { currentDatabase } from '../database/current'
import { answeredOnThread } from '../http/answeredOnThread'
import { answered, type Computed } from '../http/computed'
import { defineRoute, type Asked, type Route } from '../http/defineRoute'
import { typedAs } from '../http/readBody'
import { readBytes } from '../http/readBytes'
import { jsonIn, LARGEST_BODY } from '../http/readJson'
import { answerCalibrate } from '../services/compute/calibrate'
import { answerCurve } from '../services/compute/curve'
import { answerMeasure } from '../services/compute/measure'
import { answerNozzles } from '../services/compute/nozzles'
import { answerPattern } from '../services/compute/pattern'
import { answerReadLabel } from '../services/compute/readLabel'
import { answerSeason } from '../services/compute/season'

/** A body of more bytes holds outlines of a thousand corners: even reading it would hold others up. */
const SMALL_BODY = 16_384

/** A route that only computes: what its schema lets through is answered by the core. */
const computes = <Request extends v.GenericSchema>(
  name: string,
  summary: string,
  body: Request,
  answer: v.GenericSchema,
  compute: (request: v.InferOutput<Request>) => Computed<unknown>,
): Route =>
  defineRoute({
    path: `POST /api/${name}`,
    summary: `${summary}; computes only, saves nothing`,
    computes: 'computes',
    body,
    answer,
    fails: [413, 422],
    handle: ({ body: request }) => answered(compute(request)),
  })

/** The same where it takes so long that a request of it has a thread; its body is read there. */
const computesOnThread = (
  name: 'measure' | 'lanes' | 'coverage',
  summary: string,
  body: v.GenericSchema,
  answer: v.GenericSchema,
  small?: (bytes: Uint8Array) => unknown,
): Route => ({
  ...computes(name, summary, body, answer, () => ({ ok: false, error: [] })),
  handler: defineEventHandler(async (event) => {
    const bytes = await readBytes(event, LARGEST_BODY)
    return small && bytes.length <= SMALL_BODY ? small(bytes) : answeredOnThread(event, name, bytes)
  }),
})

async function health({ event }: Asked<undefined, unknown>) {
  const prepared = currentDatabase()
  const database = await prepared.ping()
  if (database === 'ok' && prepared.state() === 'starting') {
    setResponseStatus(event, 503)
    return { status: 'starting' }
  }
  if (database === 'down') setResponseStatus(event, 503)
  return { status: database === 'ok' ? 'ok' : 'down', version: useRuntimeConfig().version, database }
}

/** What any program may ask: the public contract, and whatever else computes beside the plan. */
export const COMPUTE_ROUTES: readonly Route[] = [
  defineRoute({
    path: 'GET /api/health',
    summary: 'Is the server up and its database ready',
    computes: 'computes',
    answer: HealthSchema,
    fails: [503],
    handle: health,
  }),
  computes('plan', 'Plan one application', PlanRequestSchema, PlanResponseSchema, (request) =>
    planApplication(request, openWorkingBook()),
  ),
  computesOnThread(
    'measure',
    'Measure ground from figures',
    MeasureRequestSchema,
    MeasureAnswerSchema,
    (bytes) => answered(answerMeasure(typedAs(MeasureRequestSchema, jsonIn(bytes)))),
  ),
  computes(
    'calibrate',
    'Work out a calibration',
    CalibrateRequestSchema,
    CalibrateAnswerSchema,
    answerCalibrate,
  ),
  computes(
    'read-label',
    'Read printed directions',
    ReadLabelRequestSchema,
    ReadLabelAnswerSchema,
    answerReadLabel,
  ),
  computes('pattern', 'Look at a tray test', PatternRequestSchema, PatternAnswerSchema, answerPattern),
  computes('curve', 'Ask a spreader’s setting curve', CurveRequestSchema, CurveAnswerSchema, answerCurve),
  computes(
    'nozzles',
    'Check nozzles and solve a boom',
    NozzlesRequestSchema,
    NozzlesAnswerSchema,
    answerNozzles,
  ),
  computes(
    'season',
    'Soil, heat units, windows, disease indices and coverage of one place',
    SeasonRequestSchema,
    SeasonAnswerSchema,
    answerSeason,
  ),
  computesOnThread('lanes', 'Lanes over a lawn, in walking order', LanesRequestSchema, LanesAnswerSchema),
  computesOnThread(
    'coverage',
    'What the ground gets from lanes and a pattern',
    CoverageRequestSchema,
    CoverageAnswerSchema,
  ),
]
