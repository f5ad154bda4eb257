import * as v from 'valibot'
import { BenchTestDocumentSchema } from '#core/calibration/benchTestShape'
import { Uuid, Version } from '#core/shape/texts'

export const SaveBenchTestSchema = v.strictObject({
  version: Version,
  equipmentId: Uuid,
  document: BenchTestDocumentSchema,
})
export type SaveBenchTest = v.InferOutput<typeof SaveBenchTestSchema>

/** A tray test or a nozzle check as it is stored. */
export interface BenchTest extends SaveBenchTest {
  readonly id: string
  readonly updatedAt: string
}
