import { workOutApplication, workOutJob } from '../core/job/workOutJob'
import { asRateLine } from '../core/label/print/asRateLine'
import { readLabel } from '../core/label/print/readLabel'
import type { Entered } from '../core/quantity/entered'
import type { AmountUnit, LengthUnit } from '../core/quantity/units'
import { foldRun } from '../core/run/foldRun'
import { freezePlan } from '../core/run/freezePlan'
import { laidDown } from '../core/run/laidDown'
import type { RunEvent } from '../core/run/runEvent'
import { DEFAULT_HOUSE } from '../core/house'
import { areaSeason } from '../core/season/areaSeason'
import { nextOnLawn } from '../core/season/nextOnLawn'
import { seasonDue } from '../core/season/seasonDue'
import { stillToBook } from '../core/stock/stillToBook'
import { simulatedClimate } from '../core/simulated/simulatedClimate'
import { sampleCrew } from '../demo/sampleCrew'

/** A way of a value from a named field to a named figure, gone with one value in the field or another. */
export interface Way {
  readonly from: string
  readonly to: string
  /** The figure is known when this function is entered. */
  readonly until: string
  readonly go: (value: number) => unknown
  readonly values: readonly [number, number]
}

const TODAY = '2026-05-06'
const feed = sampleCrew().jobs.find(({ purpose }) => purpose === 'Spring feed, front strips')?.applications[0]
if (!feed) throw new Error('the sample has no feed')
const draft = feed.document
const { rows } = sampleCrew()
const label = rows.find(({ id }) => id === draft.products[0]?.source?.id)?.row as {
  document: { lines: Parameters<typeof asRateLine>[1][] }
}
const text = <U extends string>(value: number, unit: U): Entered<U> => ({ text: String(value), unit })

const withWidth = (width: number) => ({
  ...draft,
  lawns: draft.lawns.map((area, i) => ({
    ...area,
    parts: area.parts.map((part, k) =>
      i + k === 0 ? { ...part, lengths: { ...part.lengths, width: text<LengthUnit>(width, 'ft') } } : part,
    ),
  })),
})

const CLIMATE = {
  mean: 11,
  swing: 11,
  coldest: 30,
  dayRange: 10,
  wetDays: 0.3,
  rainDepth: 0.008,
  humidity: 72,
}
const YEAR = simulatedClimate(CLIMATE, '2025-01-01', 491, 7)

export const WAYS: readonly Way[] = [
  {
    from: 'a typed width',
    to: 'the load',
    until: 'core/job/links/walk.ts walkLink',
    values: [28, 32],
    go: (width) => workOutApplication(withWidth(width), TODAY),
  },
  {
    from: 'a printed direction',
    to: 'a stop',
    until: '',
    values: [2, 3],
    go: (most) => {
      const [printed] = readLabel(
        `Apply 4 lb per 1,000 sq ft. Do not exceed ${most} lb per 1,000 sq ft.`,
        'dry',
      ).lines
      const [line] = label.document.lines
      const [product, ...others] = draft.products
      if (!printed || !line || !product) throw new Error('the direction was not read')
      const { rate, low, high, most: cap } = asRateLine(printed, line)
      const products = [{ ...product, rate, low, high, most: cap }, ...others]
      return workOutJob({ applications: [{ id: '', document: { ...draft, products } }], day: TODAY })
    },
  },
  {
    from: 'an event of a run',
    to: 'ledger and stock',
    until: '',
    values: [2, 3],
    go: (left) => {
      const plan = freezePlan(
        { site: '', siteId: null },
        draft,
        workOutApplication(draft, TODAY),
        [],
        DEFAULT_HOUSE,
      )
      const at = `${TODAY}T12:00:00.000Z`
      const stamped = (sequence: number) => ({
        id: String(sequence),
        deviceId: 'device',
        sequence,
        counter: sequence,
        at,
      })
      const record = foldRun([
        { kind: 'planned', ...stamped(1), payload: plan },
        { kind: 'started', ...stamped(2) },
        {
          kind: 'used',
          ...stamped(3),
          payload: {
            treated: { value: 3930, unit: 'ft2' },
            putIn: [{ productId: draft.products[0]?.id, amount: { value: 16, unit: 'lb' } }],
            left: { value: left, unit: 'lb' },
          },
        },
        {
          kind: 'finished',
          ...stamped(4),
          payload: { by: '', licence: '', target: '', weather: '', remarks: '' },
        },
      ] as unknown as readonly RunEvent[])
      if (!record) throw new Error('the run has no record')
      return [
        laidDown(record),
        record.outcomes.map(
          ({ used }) => used && stillToBook(used as { value: number; unit: AmountUnit }, []),
        ),
      ]
    },
  },
  {
    from: 'a day’s temperature',
    to: 'Today',
    until: '',
    values: [18, 24],
    go: (high) => {
      const days = YEAR.map((day) => (day.on === TODAY ? { ...day, most: high } : day))
      const ground = { grasses: ['creeping bentgrass' as const], latitude: 41, overseeding: undefined }
      const season = areaSeason(days, [], ground, [], TODAY, '°F')
      if (!season.ok) throw new Error('the days are not in order')
      const next = nextOnLawn(
        season.value,
        { ...ground, rootDisease: true, diseases: ['brown patch'] },
        TODAY,
      )
      return seasonDue([{ areaId: 'a', area: 'Green', siteId: 's', site: 'Club', next, steps: [] }], TODAY)
    },
  },
]
