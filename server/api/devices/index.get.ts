import { PRACTICE_DEVICES } from '#core/practice/practiceDevice'
import type { Device } from '#shared/schemas/device'

/** The instruments that can be read: the simulated ones that ship with the application. */
export default defineEventHandler((): readonly Device[] =>
  PRACTICE_DEVICES.map(({ id, name, measures }) => ({ id, name, measures })),
)
