import * as v from 'valibot'
import { PRACTICE_DEVICES } from '#core/simulated/practiceDevice'
import { ImportCalibrationsSchema } from '#shared/schemas/calibrationFile'
import { PracticeActsSchema } from '#core/simulated/practiceActShape'
import { asFile, asStream, defineCrewRoute, defineRoute, found, type Route } from '../http/defineRoute'
import { calibrationFile, importCalibrations } from '../services/calibrationFiles'
import { deviceLines } from '../services/deviceStream'
import { machineOutcomes } from '../services/machineOutcomes'
import { choiceOf, wholeNumber } from './queries'

const LARGEST_SEED = 1e9

/** What was done with the practice machines, as JSON in an address. */
const Acts = v.pipe(
  v.optional(v.string(), '[]'),
  v.rawTransform(({ dataset, addIssue, NEVER }) => {
    try {
      return v.parse(PracticeActsSchema, JSON.parse(dataset.value))
    } catch {
      addIssue({ message: 'must be a list of what was done with the practice machines' })
      return NEVER
    }
  }),
)
const Seed = wholeNumber(1, 1, LARGEST_SEED, 'must be a whole number from 1')

/** Machines beside their rows in the library, and instruments that can be read. */
export const EQUIPMENT_ROUTES: readonly Route[] = [
  defineRoute({
    path: 'GET /api/devices',
    summary: 'Instruments that can be read: the simulated ones that ship',
    handle: () => PRACTICE_DEVICES.map(({ id, name, measures }) => ({ id, name, measures })),
  }),
  defineRoute({
    path: 'GET /api/devices/:device/lines',
    summary: 'An instrument’s readings as lines of text, for as long as somebody listens',
    query: v.object({
      seed: Seed,
      acts: Acts,
      cable: v.fallback(v.optional(v.picklist(['good', 'bad']), 'good'), 'good'),
    }),
    answer: ['text/plain'],
    fails: [404],
    handle: ({ event, query: { seed, acts, cable } }) => {
      const device = found(
        PRACTICE_DEVICES.find(({ id }) => id === event.context.params?.device),
        'instrument',
      )
      setResponseHeaders(event, {
        'content-type': 'text/plain; charset=utf-8',
        'cache-control': 'no-store',
        'x-accel-buffering': 'no',
      })
      return asStream(event, deviceLines(device, seed, acts, cable))
    },
  }),
  defineCrewRoute({
    path: 'GET /equipment/held',
    summary: 'What each machine was last filled with, by the records',
    handle: ({ repositories }) => repositories.records.held(),
  }),
  defineCrewRoute({
    path: 'GET /equipment/:id/outcomes',
    summary: 'What the last records of a machine came to against their plans',
    handle: ({ repositories, id }) => machineOutcomes(repositories, id),
  }),
  defineCrewRoute({
    path: 'GET /equipment/:id/calibrations',
    summary: 'Its calibrations as CSV or JSON',
    query: v.object({ format: choiceOf(['csv', 'json']) }),
    answer: ['text/csv', 'application/json'],
    handle: async ({ repositories: { equipment, calibrations }, id, query: { format }, event }) => {
      const machine = found(await equipment.find(id), 'piece of equipment')
      asFile(event, TABLE_TYPES[format], `calibrations.${format}`)
      return calibrationFile(machine, await calibrations.list({ equipmentId: id }), format)
    },
  }),
  defineCrewRoute({
    path: 'POST /equipment/:id/calibrations',
    summary: 'Take calibrations in, all or none; those already stored stay',
    body: ImportCalibrationsSchema,
    handle: ({ repositories, id, body }) => importCalibrations(repositories, id, body),
  }),
]

/** Media types of a table that leaves as a file. */
export const TABLE_TYPES = {
  csv: 'text/csv; charset=utf-8',
  json: 'application/json; charset=utf-8',
} as const
