import * as v from 'valibot'
import { DETAIL_NAMES, type RunEvent } from '#core/run/runEvent'
import type { RunRecord } from '#core/run/foldRun'
import { VERDICTS, type Verdict } from '#core/run/verdict'
import type { Quantity } from '#core/quantity/quantity'
import { AMOUNT_UNITS, AREA_UNITS, MASS_UNITS, VOLUME_UNITS, type RateUnit } from '#core/quantity/units'
import { CARRIED_PAYLOADS, SeenSchema } from '#core/run/carriedShape'
import { BlankOrDay, Instant, Uuid } from '#core/shape/texts'
import { NotNegative, Positive, quantityOf } from '#core/shape/figures'

const Text = v.pipe(v.string(), v.maxLength(2000, 'is too long'))
const Reason = v.pipe(
  v.string(),
  v.trim(),
  v.minLength(1, 'A correction needs its reason.'),
  v.maxLength(2000),
)
const Count = v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(1e9))
const stamp = {
  id: Uuid,
  deviceId: Uuid,
  sequence: Count,
  counter: Count,
  at: Instant,
}
const Amount = quantityOf(AMOUNT_UNITS, Positive)
const Left = quantityOf([...MASS_UNITS, ...VOLUME_UNITS], NotNegative)
const Treated = quantityOf(AREA_UNITS, Positive)

const Used = v.strictObject({
  treated: Treated,
  putIn: v.pipe(
    v.array(v.strictObject({ productId: Uuid, amount: Amount })),
    v.minLength(1),
    v.maxLength(20),
  ),
  left: Left,
  made: v.optional(quantityOf(VOLUME_UNITS, Positive)),
  apart: v.optional(v.pipe(v.array(Amount), v.maxLength(500))),
})

const Details = v.strictObject({ by: Text, licence: Text, target: Text, weather: Text, remarks: Text })

const Corrected = v.variant('field', [
  v.strictObject({ field: v.picklist(DETAIL_NAMES), now: Text, reason: Reason }),
  v.strictObject({ field: v.literal('treated'), now: Treated, reason: Reason }),
  v.strictObject({ field: v.literal('left'), now: Left, reason: Reason }),
  v.strictObject({ field: v.literal('made'), now: quantityOf(VOLUME_UNITS, Positive), reason: Reason }),
  v.strictObject({
    field: v.custom<`apart.${number}`>(
      (field) => typeof field === 'string' && /^apart\.\d{1,3}$/.test(field),
    ),
    now: Amount,
    reason: Reason,
  }),
  v.strictObject({
    field: v.custom<`putIn.${string}`>(
      (field) => typeof field === 'string' && /^putIn\.[0-9a-f-]{36}$/.test(field),
    ),
    now: Amount,
    reason: Reason,
  }),
])

const carried = <const K extends keyof typeof CARRIED_PAYLOADS>(kind: K) =>
  v.strictObject({ ...stamp, kind: v.literal(kind), payload: CARRIED_PAYLOADS[kind] })

/**
 * An event as a device sends it. The frozen plan of `planned` is never taken from the wire: the server
 * freezes what is stored. A run that began without a network says what it went by; one that is entered once
 * it was done says so.
 */
const NewRunEventSchema = v.variant('kind', [
  v.strictObject({
    ...stamp,
    kind: v.literal('planned'),
    payload: v.optional(
      v.strictObject({ seen: v.optional(SeenSchema), afterwards: v.optional(v.literal(true)) }),
    ),
  }),
  v.strictObject({ ...stamp, kind: v.literal('started') }),
  v.strictObject({ ...stamp, kind: v.literal('used'), payload: Used }),
  v.strictObject({ ...stamp, kind: v.literal('finished'), payload: Details }),
  v.strictObject({ ...stamp, kind: v.literal('corrected'), payload: Corrected }),
  v.strictObject({ ...stamp, kind: v.literal('countersigned') }),
  carried('gate'),
  carried('stepped'),
  carried('measured'),
  carried('checked'),
  carried('light'),
  carried('covered'),
  carried('tank'),
  carried('set'),
  carried('paused'),
  carried('resumed'),
  carried('strip'),
  carried('mishap'),
  carried('watered'),
  carried('noted'),
  carried('photo'),
  carried('spot'),
  carried('timed'),
  carried('calibrates'),
  carried('signed'),
  carried('looked'),
])
export type NewRunEvent = v.InferOutput<typeof NewRunEventSchema>

export const NewRunEventsSchema = v.strictObject({
  events: v.pipe(v.array(NewRunEventSchema), v.minLength(1), v.maxLength(100)),
  /** The device's clock as it sends them: how far it is off is found from that. */
  sentAt: v.optional(Instant),
})

/** A run as read back: its events and what they fold to. */
export interface Run {
  readonly applicationId: string
  readonly jobId: string
  readonly events: readonly RunEvent[]
  readonly record: RunRecord | null
}

const RECORD_VERDICTS = [...VERDICTS, 'unknown'] as const
const RECORD_SORTS = ['newest', 'oldest', 'site'] as const

/** What is asked of the records: words, a verdict, a site, days from and to, and the order. */
export const RecordQuerySchema = v.object({
  q: v.optional(v.pipe(v.string(), v.maxLength(200)), ''),
  verdict: v.optional(v.picklist(['', ...RECORD_VERDICTS]), ''),
  siteId: v.optional(v.union([v.literal(''), Uuid]), ''),
  from: v.optional(BlankOrDay, ''),
  to: v.optional(BlankOrDay, ''),
  sort: v.optional(v.picklist(RECORD_SORTS), 'newest'),
  /** Of these, only those named here; one or several. */
  ids: v.optional(
    v.pipe(
      v.union([
        v.array(Uuid),
        v.pipe(
          Uuid,
          v.transform((id) => [id]),
        ),
      ]),
      v.maxLength(200, 'must be 200 records at the most'),
    ),
    [],
  ),
})
export type RecordQuery = v.InferOutput<typeof RecordQuerySchema>

/** A row of the list of records. */
export interface RecordRow {
  readonly id: string
  readonly jobId: string
  readonly site: string
  readonly siteId: string | null
  readonly by: string
  readonly target: string
  readonly products: string
  readonly finishedAt: string
  /** Nobody noted more than the day. */
  readonly only?: 'day'
  readonly sizeM2: number
  readonly verdict: (typeof RECORD_VERDICTS)[number]
  /** Actual over planned, less one, of each product whose outcome is known. */
  readonly deviations: readonly number[]
}

/** What one product of one record came to with a machine: how far from plan. */
export interface MachineOutcome {
  readonly recordId: string
  readonly site: string
  readonly finishedAt: string
  readonly product: string
  readonly plannedRate: Quantity<RateUnit>
  readonly actualRate: Quantity<RateUnit>
  /** Actual over planned, less one. */
  readonly deviation: number
  readonly verdict: Verdict
}

/** A page of records; `next` is where the following page starts, null on the last. */
export interface RecordPage {
  readonly rows: readonly RecordRow[]
  readonly next: string | null
}
