import { v7 as uuid } from 'uuid'
import { sampleCrew } from '../../demo/sampleCrew'
import type { ApplicationDraft } from '../../core/draft/applicationShape'
import type { SaveJob } from '../../shared/schemas/job'
import type { NewRunEvent } from '../../shared/schemas/run'

/** A job of the sample: a feed on the front strips. */
export const sample = sampleCrew().jobs.find(({ purpose }) => purpose === 'Spring feed, front strips')
  ?.applications[0]
/** This crew has none of the sample's library. */
const withoutSources = ({ lawns, products, ...document }: ApplicationDraft): ApplicationDraft => ({
  ...document,
  lawns: lawns.map(({ source: _, ...lawn }) => lawn),
  products: products.map(({ source: _, ...product }) => product),
})
export const documentOf = (job: SaveJob): ApplicationDraft =>
  job.applications[0]?.document as ApplicationDraft
export const newJob = (fields: Partial<SaveJob> = {}): SaveJob => {
  if (!sample) throw new Error('no sample job')
  return {
    version: 0,
    site: 'Cooperage Row',
    siteId: null,
    purpose: 'feed',
    plannedFor: '2026-05-06',
    state: 'planned',
    applications: [{ id: uuid(), document: withoutSources(sample.document) }],
    ...fields,
  }
}
export const stamp = (sequence: number, deviceId: string) => ({
  id: uuid(),
  deviceId,
  sequence,
  counter: sequence,
  at: '2026-05-06T12:00:00.000Z',
})

/** A run from its plan to its record, as one device sends it. */
export const runEvents = (device: string, productId: string, left = 3): readonly NewRunEvent[] => [
  { kind: 'planned', ...stamp(1, device) },
  { kind: 'started', ...stamp(2, device) },
  {
    kind: 'used',
    ...stamp(3, device),
    payload: {
      treated: { value: 3930, unit: 'ft2' },
      putIn: [{ productId, amount: { value: 16.35, unit: 'lb' } }],
      left: { value: left, unit: 'lb' },
    },
  },
  {
    kind: 'finished',
    ...stamp(4, device),
    payload: { by: 'T. Arkwright', licence: '', target: '', weather: '', remarks: '' },
  },
]

/** A run as a phone writes it down, step by step, from its plan to its record. */
export function carriedRun(device: string, productId: string): readonly NewRunEvent[] {
  const pounds = (value: number) => ({ value, unit: 'lb' as const })
  const [planned, started, used, finished] = runEvents(device, productId)
  const stepped = (step: string) => ({ kind: 'stepped' as const, payload: { step, done: 'yes' as const } })
  const bodies = [
    planned,
    started,
    stepped('gate'),
    { kind: 'measured' as const, payload: { load: 0, productId, amount: pounds(16.35) } },
    stepped('weigh'),
    stepped('pass-1-0'),
    {
      kind: 'checked' as const,
      payload: { pass: 1, share: 0.5, left: pounds(9.7), way: 'weighed' as const },
    },
    stepped('check-1-500'),
    { kind: 'set' as const, payload: { dial: '10.6' } },
    { kind: 'noted' as const, payload: { words: 'gate stiff' } },
    used,
    stepped('rest'),
    finished,
    { kind: 'signed' as const, payload: { name: 'T. Arkwright', mark: '' } },
  ]
  return bodies.map((body, i) => ({ ...body, ...stamp(i + 1, device) }) as NewRunEvent)
}
