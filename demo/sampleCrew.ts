import { DEFAULT_HOUSE } from '#core/house'
import { calibrationInForce } from '#core/calibration/calibrationInForce'
import type { SpreaderDocument, SprayerDocument, ToolDocument } from '#core/calibration/equipmentShape'
import { blankApplication } from '#core/draft/blankApplication'
import type { ApplicationDraft } from '#core/draft/applicationShape'
import { secondOf, type Split } from '#core/draft/applicationChoices'
import {
  lawnFromArea,
  methodOf,
  noteFromLabel,
  ownFromLine,
  sprayFrom,
  spreadFrom,
  stepFor,
} from '#core/draft/fromLibrary'
import { workOutApplication, type WorkedApplication } from '#core/job/workOutJob'
import { amountFactor, type Quantity } from '#core/quantity/quantity'
import { dimensionOf } from '#core/quantity/rateUnit'
import type { AmountUnit } from '#core/quantity/units'
import type { Used } from '#core/run/outcome'
import type { SaveJob } from '../shared/schemas/job'
import type { StockMovement } from '../shared/schemas/product'
import type { LibraryKind } from '../shared/schemas/library'
import type { NewRunEvent } from '../shared/schemas/run'
import { blankGate } from '../core/run/gate/gateReadings'
import { drawsFrom, normal } from '../core/quantity/draws'
import { sampleAreaPrograms, samplePrograms } from './samplePrograms'
import { sampleCalibrations, sampleEquipment, sampleTrials } from './sampleEquipment'
import { sampleProducts } from './sampleProducts'
import { PROGRAM, VISITS, type ProgramEntry } from './sampleProgram'
import { INLAND_STATION, sampleProbes, SHORE_STATION } from './sampleWeather'
import { SAMPLE_AREAS } from './sampleLinks'
import { sampleSites, type SampleSite } from './sampleSites'
import { field, named } from './typed'

/** A job of the sample, saved as it stood on its day, and what happened to it. */
export interface SampleJob extends Omit<SaveJob, 'version' | 'applications'> {
  readonly id: string
  /** The day on which it is planned. */
  readonly day: string
  readonly applications: readonly {
    readonly id: string
    readonly document: ApplicationDraft
    readonly events: readonly NewRunEvent[]
  }[]
}

export interface SampleCrew {
  /** Rows of the library in the order they were made; `version` stands for a row changed later. */
  readonly rows: readonly {
    readonly room: LibraryKind
    readonly id: string
    readonly on: string
    readonly row: object
  }[]
  readonly stock: readonly { readonly productId: string; readonly movements: readonly StockMovement[] }[]
  readonly jobs: readonly SampleJob[]
}

const ON_THE_HILL = 'Quarry Lane Cemetery'
const MEASURED_ON = '2025-03-12'
/** The crew's hand is steady: one standard deviation of what it puts down against plan. */
const HAND_SD = 0.035
const MINUTE_MS = 60_000
const DEVICE = named('device of the crew')
const WEATHER = [
  '58 F, wind 4 mph SW, leaf dry',
  '64 F, wind 6 mph W, leaf dry',
  '71 F, wind 3 mph S, leaf dry',
  '52 F, wind 7 mph NW, overcast',
  '67 F, calm, sun',
]
const CREW = ['T. Arkwright', 'T. Arkwright', 'M. Osei', 'J. Lindqvist'] as const

/**
 * The whole sample crew, the same at every call: sites, equipment, labels, stock, two seasons of work and the
 * morning of 6 May. All made up.
 */
export function sampleCrew(): SampleCrew {
  const sites = sampleSites()
  const draw = drawsFrom(4356)
  const past = PROGRAM.flatMap((entry) => entry.days.map((day) => ({ entry, day }))).toSorted((a, b) =>
    a.day < b.day ? -1 : a.day > b.day ? 1 : a.entry.purpose < b.entry.purpose ? -1 : 1,
  )
  const done = past.map(({ entry, day }) => pastJob(siteNamed(sites, entry.site), entry, day, draw))
  return {
    rows: rowsOf(sites),
    stock: stockFor(done),
    jobs: [...done, ...VISITS.map((visit) => visitJob(siteNamed(sites, visit.site), visit))],
  }
}

function rowsOf(sites: readonly SampleSite[]): SampleCrew['rows'] {
  const siteRows = sites.flatMap(
    ({ id, name, place, contact, notices, water, notes, areas, anchor, picture, budget, cues = [] }) => [
      {
        room: 'sites' as const,
        id,
        on: MEASURED_ON,
        row: {
          name,
          place,
          document: {
            schema: 1,
            contact,
            notices,
            water,
            notes,
            ...(anchor && { anchor }),
            ...(picture && { picture }),
            ...(budget !== undefined && { budget }),
            ...(cues.length > 0 && {
              cues: cues.map((cue) => ({ id: named(`cue ${name} ${cue.on}`), ...cue })),
            }),
            stationId: name === ON_THE_HILL ? INLAND_STATION : SHORE_STATION,
          },
        },
      },
      ...areas.map((area, position) => ({
        room: 'areas' as const,
        id: area.id,
        on: MEASURED_ON,
        row: { siteId: id, name: area.name, position, document: area.document },
      })),
      ...areas.flatMap((area, position) =>
        area.again
          ? [
              {
                room: 'areas' as const,
                id: area.id,
                on: area.again.on,
                row: { version: 1, siteId: id, name: area.name, position, document: area.again.document },
              },
            ]
          : [],
      ),
    ],
  )
  return [
    ...siteRows,
    ...sampleEquipment().map(({ id, ...row }) => ({ room: 'equipment' as const, id, on: MEASURED_ON, row })),
    ...sampleCalibrations().map(({ id, ...row }) => ({
      room: 'calibrations' as const,
      id,
      on: row.document.course.on,
      row,
    })),
    ...sampleTrials().map(({ id, ...row }) => ({
      room: 'benchTests' as const,
      id,
      on: row.document.on,
      row,
    })),
    ...sampleProducts().map(({ id, ...row }) => ({ room: 'products' as const, id, on: MEASURED_ON, row })),
    ...samplePrograms().map(({ id, row }) => ({ room: 'programs' as const, id, on: MEASURED_ON, row })),
    ...sampleAreaPrograms().map(({ id, row }) => ({
      room: 'areaPrograms' as const,
      id,
      on: MEASURED_ON,
      row,
    })),
    ...sampleProbes(SAMPLE_AREAS.bowlsGreen).map(({ id, on, row }) => ({
      room: 'probes' as const,
      id,
      on,
      row,
    })),
  ]
}

function siteNamed(sites: readonly SampleSite[], name: string): SampleSite {
  const found = sites.find((site) => site.name === name)
  if (!found) throw new Error(`the sample has no site ${name}`)
  return found
}

type Wanted = Pick<ProgramEntry, 'areas' | 'products' | 'equipment'> & {
  readonly rates?: Readonly<Record<string, string>>
  readonly own?: Readonly<Record<string, number>>
  readonly shared?: 'day'
  readonly split?: Split
}

/** An application drawn from the library just as the job sheet draws it. */
function documentOf(
  site: SampleSite,
  { areas, products, equipment, rates = {}, own = {}, shared, split = '' }: Wanted,
  day: string,
  key: string,
): ApplicationDraft {
  const shelf = sampleProducts()
  const tools = sampleEquipment().flatMap(({ document }): readonly ToolDocument[] =>
    document.kind === 'tool' ? [document] : [],
  )
  const chosen = products.map(([name, line = 0], i) => {
    const product = shelf.find((one) => one.name === name)
    const rateLine = product?.document.lines[line]
    if (!product || !rateLine) throw new Error(`the sample has no product ${name}`)
    const step = stepFor(
      rateLine.rate.unit,
      tools,
      methodOf(product.document) === 'spread' ? 'coarse' : 'fine',
    )
    const note = noteFromLabel({ ...product, version: 1 }, rateLine, named(`note ${key} ${i}`), step)
    const rate = rates[name]
    if (split !== '') return { ...note, split }
    return rate === undefined ? note : { ...note, rate: { ...note.rate, text: rate } }
  })
  const machine = sampleEquipment().find(({ name }) => name === equipment)
  if (!machine || machine.document.kind === 'tool')
    throw new Error(`the sample has no equipment ${equipment}`)
  const calibration = calibrationInForce(
    sampleCalibrations()
      .filter(({ equipmentId }) => equipmentId === machine.id)
      .map((one) => ({ ...one, version: 1 })),
    { day, days: DEFAULT_HOUSE.calibrationDays, product: chosen[0]?.name ?? '' },
  )
  const method = machine.document.kind === 'spreader' ? 'spread' : 'spray'
  const blank = blankApplication(
    { lawn: named('blank'), part: named('blank'), product: named('blank'), run: named(`blank run ${key}`) },
    method,
    'us-1000',
  )
  const turf = site.areas.filter(({ document }) => document.use === 'turf')
  return {
    ...blank,
    products: chosen,
    lawns: turf.map((area) => {
      const lawn = lawnFromArea(
        { ...area, version: 1 },
        areas === undefined || areas.includes(area.name) ? 'yes' : 'no',
      )
      const [first] = chosen
      const line = shelf.find(({ id }) => id === first?.source?.id)?.document.lines[own[area.name] ?? -1]
      return first && line ? { ...lawn, own: [ownFromLine(first.id, line)] } : lawn
    }),
    ...(machine.document.kind === 'spreader'
      ? {
          spread: spreadFrom(
            { ...machine, version: 1, document: machine.document as SpreaderDocument },
            calibration,
            blank.spread,
            named(`blank run ${key}`),
            'us-1000',
          ),
        }
      : {
          spray: {
            ...sprayFrom(
              { ...machine, version: 1, document: machine.document as SprayerDocument },
              calibration,
              blank.spray,
              named(`blank run ${key}`),
              'us-1000',
            ),
            ...(shared && { shared }),
          },
        }),
  }
}

/** The first date of a year, then the second. */
const splitOn = ({ split, days }: ProgramEntry, day: string): Split =>
  split === undefined
    ? ''
    : days.filter((other) => other.slice(0, 4) === day.slice(0, 4) && other < day).length === 0
      ? split
      : secondOf(split)

function pastJob(site: SampleSite, entry: ProgramEntry, day: string, draw: () => number): SampleJob {
  const key = `${entry.site} ${entry.purpose} ${day}`
  const document = documentOf(site, { ...entry, split: splitOn(entry, day) }, day, key)
  const sheet = workOutApplication(document, day)
  if (!sheet.request || !sheet.plan) throw new Error(`the sample's job ${key} can't be planned`)
  const evening = day === '2026-05-05'
  const startedAt =
    Date.parse(`${day}T${evening ? '20' : '11'}:00:00.000Z`) + Math.floor(draw() * 90) * MINUTE_MS
  const minutes = 18 + Math.floor(draw() * 35)
  const at = (offset: number) => new Date(startedAt + offset * MINUTE_MS).toISOString()
  const stamp = (sequence: number, instant: string) => ({
    id: named(`event ${key} ${sequence}`),
    deviceId: DEVICE,
    sequence,
    counter: sequence,
    at: instant,
  })
  return {
    id: named(`job ${key}`),
    day,
    site: site.name,
    siteId: site.id,
    purpose: entry.purpose,
    givenTo: '',
    plannedFor: day,
    state: 'planned',
    applications: [
      {
        id: named(`application ${key}`),
        document,
        events: [
          { kind: 'planned', ...stamp(1, at(0)) },
          { kind: 'started', ...stamp(2, at(0)) },
          {
            kind: 'used',
            ...stamp(3, at(minutes)),
            payload: usedOf(sheet, 1 + normal(draw, HAND_SD)),
          } as NewRunEvent,
          {
            kind: 'finished',
            ...stamp(4, at(minutes)),
            payload: {
              by: CREW[Math.floor(draw() * CREW.length)] ?? CREW[0],
              licence: 'TP-0417 (sample)',
              target: entry.target,
              weather: WEATHER[Math.floor(draw() * WEATHER.length)] ?? '',
              remarks: '',
            },
          },
        ],
      },
    ],
  }
}

/**
 * What was weighed or measured back when `share` of the planned amount went down; something always stays in
 * hopper and hose.
 */
function usedOf({ request, plan }: WorkedApplication, share: number): Used {
  if (!request || !plan) throw new Error('a job of the sample has no plan')
  const { totals } = plan
  const treated = { value: Math.round(totals.size.value), unit: 'm2' as const }
  const whole: Quantity<AmountUnit> | null | undefined = totals.mix ?? totals.products[0]?.charge
  const planned = totals.carrier ?? totals.products[0]?.amount
  if (!whole || !planned) throw new Error('a plan of the sample has neither mix nor charge')
  const tenths = (value: number) => Math.max(0.1, Math.round(value * 10) / 10)
  const left = { value: tenths(whole.value - planned.value * share), unit: whole.unit }
  if (request.method.kind === 'spread')
    return {
      treated,
      left,
      putIn: totals.products.map(({ id, charge, amount }) => ({ productId: id, amount: charge ?? amount })),
    }
  return {
    treated,
    left,
    made: { value: tenths(whole.value), unit: whole.unit } as Quantity<'gal'>,
    putIn: totals.products.map(({ id, measured }) => ({ productId: id, amount: measured })),
  }
}

/** A run that has begun, and where it was found fit to go the look at its gate. */
function begun(key: string, started: string, wentAt: string | undefined): readonly NewRunEvent[] {
  const stamp = (kind: string, sequence: number, at: string) => ({
    id: named(`event ${key} ${kind}`),
    deviceId: DEVICE,
    sequence,
    counter: sequence,
    at,
  })
  const blank = blankGate({ speed: 'mph', temperature: '°F', depth: 'in' })
  const readings = {
    ...blank,
    wind: field<'mph'>('4 mph'),
    air: field<'°F'>('64 °F'),
    leaf: 'dry' as const,
    answers: {
      people: 'yes',
      bees: 'yes',
      notices: 'yes',
      equipment: 'yes',
      gear: 'yes',
      label: 'yes',
    } as const,
  }
  return [
    { kind: 'planned', ...stamp('planned', 1, started) },
    { kind: 'started', ...stamp('started', 2, started) },
    ...(wentAt === undefined
      ? []
      : [
          {
            kind: 'gate' as const,
            ...stamp('gate', 3, wentAt),
            payload: { decision: 'go' as const, readings, findings: [], unread: [], reason: '' },
          },
          {
            kind: 'stepped' as const,
            ...stamp('stepped', 4, wentAt),
            payload: { step: 'gate', done: 'yes' as const },
          },
        ]),
  ]
}

function visitJob(site: SampleSite, visit: (typeof VISITS)[number]): SampleJob {
  const key = `${visit.site} ${visit.purpose} ${visit.day}`
  const started = visit.startedAt
  return {
    id: named(`job ${key}`),
    day: '2026-05-03',
    site: site.name,
    siteId: site.id,
    purpose: visit.purpose,
    givenTo: visit.givenTo ?? '',
    plannedFor: visit.day,
    state: visit.state,
    applications: visit.applications.map((wanted, i) => ({
      id: named(`application ${key} ${i}`),
      document: documentOf(site, wanted, visit.day, `${key} ${i}`),
      events: started === undefined ? [] : begun(key, started, visit.wentAt),
    })),
  }
}

/**
 * What is low on the morning of 6 May: the jug that is to be bought, and a bottle that tomorrow's jobs will
 * need more of.
 */
const LOW: Readonly<Record<string, string>> = {
  'Propiconazole 14.3 % concentrate': '9 fl oz',
  'Non-ionic surfactant': '4.2 fl oz',
}

/** Deliveries that cover what was used and leave a plausible rest on the shelf. */
function stockFor(jobs: readonly SampleJob[]): SampleCrew['stock'] {
  const used = new Map<string, { amount: number; unit: AmountUnit }>()
  for (const { document, events } of jobs.flatMap(({ applications }) => applications)) {
    const event = events.find(({ kind }) => kind === 'used')
    if (event?.kind !== 'used') continue
    const { putIn, left, made } = event.payload as Used
    const whole = made ?? putIn[0]?.amount
    const share = whole
      ? 1 - (left.value * amountFactor(left.unit)) / (whole.value * amountFactor(whole.unit))
      : 1
    for (const { productId, amount } of putIn) {
      const source = document.products.find(({ id }) => id === productId)?.source?.id
      if (source)
        used.set(source, {
          amount: (used.get(source)?.amount ?? 0) + amount.value * amountFactor(amount.unit) * share,
          unit: amount.unit,
        })
    }
  }
  return sampleProducts().map(({ id, name, document }) => {
    const pack = document.packages[0]
    const need = used.get(id)
    const unit = need?.unit ?? pack?.size.unit ?? 'lb'
    const packSi =
      pack && dimensionOf(pack.size.unit) === dimensionOf(unit)
        ? Number(pack.size.text) * amountFactor(pack.size.unit)
        : 0
    const low = LOW[name] === undefined ? undefined : field<AmountUnit>(LOW[name])
    const rest = low ? Number(low.text) * amountFactor(low.unit) : packSi * 2.6
    const received = (amount: number, on: string): StockMovement => ({
      id: named(`delivery ${name} ${on}`),
      kind: 'received',
      dimension: dimensionOf(unit),
      amount,
      entered: { text: (amount / amountFactor(unit)).toFixed(2), unit },
      lot: `lot ${on.slice(2, 7)}`,
      remarks: '',
      applicationId: null,
      on,
    })
    const total = (need?.amount ?? 0) + rest
    return {
      productId: id,
      movements:
        total === 0 ? [] : [received(total * 0.7, '2025-03-20'), received(total * 0.3, '2026-03-02')],
    }
  })
}
