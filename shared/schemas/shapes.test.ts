import { expectTypeOf, test } from 'vitest'
import type { InferOutput } from 'valibot'
import type { BenchTestDocument } from '#core/calibration/benchTest'
import type { CalibrationDocument } from '#core/calibration/calibrationDocument'
import type { EquipmentDocument } from '#core/calibration/equipmentDocument'
import type { ApplicationDraft } from '#core/draft/applicationDraft'
import type { AreaDocument } from '#core/ground/areaDocument'
import type { ProductDocument } from '#core/label/productDocument'
import type { PracticeAct } from '#core/practice/practiceMachine'
import type { ApplicationDraftShape } from './application'
import type { BenchTestDocumentShape } from './benchTest'
import type { PracticeActsShape } from './device'
import type { CalibrationDocumentShape, EquipmentDocumentShape } from './equipment'
import type { AreaDocumentShape, SiteDocument, SiteDocumentShape } from './ground'
import type { ProductDocumentShape } from './product'

/** The same shape without what is only a manner of writing it: readonly, interfaces, tuples. */
type Plain<T> = T extends readonly (infer U)[]
  ? readonly Plain<U>[]
  : T extends object
    ? { readonly [K in keyof T]: Plain<T[K]> }
    : T
type Same<A, B> =
  (<T>() => T extends Plain<A> ? 1 : 2) extends <T>() => T extends Plain<B> ? 1 : 2 ? true : false

// The compiler is the test: a field that is only in one of the two turns `true` into `false`.
test('what the wire lets through is what core declares, field by field', () => {
  expectTypeOf<Same<InferOutput<typeof ApplicationDraftShape>, ApplicationDraft>>().toEqualTypeOf<true>()
  expectTypeOf<Same<InferOutput<typeof ProductDocumentShape>, ProductDocument>>().toEqualTypeOf<true>()
  expectTypeOf<Same<InferOutput<typeof EquipmentDocumentShape>, EquipmentDocument>>().toEqualTypeOf<true>()
  expectTypeOf<
    Same<InferOutput<typeof CalibrationDocumentShape>, CalibrationDocument>
  >().toEqualTypeOf<true>()
  expectTypeOf<Same<InferOutput<typeof BenchTestDocumentShape>, BenchTestDocument>>().toEqualTypeOf<true>()
  expectTypeOf<Same<InferOutput<typeof PracticeActsShape>, readonly PracticeAct[]>>().toEqualTypeOf<true>()
  expectTypeOf<Same<InferOutput<typeof AreaDocumentShape>, AreaDocument>>().toEqualTypeOf<true>()
  expectTypeOf<Same<InferOutput<typeof SiteDocumentShape>, SiteDocument>>().toEqualTypeOf<true>()
})
