import { blankEquipment } from '#core/calibration/blankEquipment'
import type { CalibrationDocument } from '#core/calibration/calibrationShape'
import type {
  EquipmentDocument,
  SpreaderDocument,
  SprayerDocument,
  ToolDocument,
} from '#core/calibration/equipmentShape'
import { blankNozzles, blankPattern } from '#core/calibration/benchTest'
import type { BenchTestDocument } from '#core/calibration/benchTestShape'
import type { ToolNote } from '#core/ground/areaShape'
import type { TapedCourse } from '#core/ground/tapedCourse'
import type { AmountUnit, MassUnit, VolumeUnit } from '#core/quantity/units'
import { field, named, typed } from './typed'

export interface SampleEquipment {
  readonly id: string
  readonly name: string
  readonly document: EquipmentDocument
}
export interface SampleCalibration {
  readonly id: string
  readonly equipmentId: string
  readonly document: CalibrationDocument
}

const equipment = (name: string, document: EquipmentDocument): SampleEquipment => ({
  id: named(`equipment ${name}`),
  name,
  document,
})
const spreader = (name: string, fields: Partial<SpreaderDocument>) =>
  equipment(name, { ...(blankEquipment('spreader', 'us-1000') as SpreaderDocument), ...fields })
const sprayer = (name: string, fields: Partial<SprayerDocument>) =>
  equipment(name, { ...(blankEquipment('sprayer', 'us-1000') as SprayerDocument), ...fields })
const tool = (name: string, fields: Partial<ToolDocument>) =>
  equipment(name, { ...(blankEquipment('tool', 'us-1000') as ToolDocument), ...fields })
const nozzles = (count: string, spacing: string, what: string) => ({
  count,
  spacing: typed(spacing, 'in' as const),
  what,
})

export const PUSH = '80 lb broadcast push spreader'
const DROP = '24 in drop spreader'
const CRANK = 'Hand-cranked spreader'
export const BACKPACK = '3 gal pump backpack'
export const TOW = '26 gal tow boom'
export const RIDE = '60 gal ride-on boom'

const course = (name: string, on: string, reads: readonly string[]): TapedCourse => ({
  distance: field('100 ft'),
  on,
  runs: reads.map((read, i) => ({ id: named(`run ${name} ${i}`), read: field(read) })),
})
/** The wheel as the crew's areas were measured with it. */
export const MEASURING_WHEEL: ToolNote = {
  id: named('equipment Measuring wheel'),
  version: 1,
  name: 'Measuring wheel',
  course: course('Measuring wheel', '2025-03-03', ['100.6 ft', '100.5 ft', '100.7 ft', '100.6 ft']),
}

/** What the sample crew works with; every name a plain description. */
export const sampleEquipment = (): readonly SampleEquipment[] => [
  spreader(PUSH, {
    type: 'broadcast push',
    hopper: field('80 lb'),
    reserve: field('3 lb'),
    swath: field('11 ft'),
    dial: { low: '1', high: '30' },
  }),
  spreader(DROP, {
    type: 'drop',
    hopper: field('25 lb'),
    reserve: field('1 lb'),
    swath: field('2 ft'),
    dial: { low: '1', high: '15' },
  }),
  spreader(CRANK, {
    type: 'hand-cranked',
    hopper: field('5 lb'),
    reserve: field('0.3 lb'),
    swath: field('6 ft'),
    dial: { low: '1', high: '5' },
  }),
  sprayer(BACKPACK, {
    type: 'backpack',
    tank: field('3 gal'),
    dead: field('6 fl oz'),
    agitate: field('0.5 gal'),
    nozzles: nozzles('1', '66', 'one wide-angle nozzle'),
  }),
  sprayer(TOW, {
    type: 'boom',
    tank: field('26 gal'),
    dead: field('0.4 gal'),
    agitate: field('5 gal'),
    nozzles: nozzles('7', '20', 'seven flat fans; number 5 reads 9 % high'),
  }),
  sprayer(RIDE, {
    type: 'boom',
    tank: field('60 gal'),
    fillTo: field('56 gal'),
    dead: field('0.9 gal'),
    agitate: field('9 gal'),
    nozzles: nozzles('12', '20', 'twelve flat fans'),
  }),
  sprayer('Hose-end bottle', { type: 'hose-end', tank: field('32 fl oz') }),
  tool('Shop scale, 0.1 g', { type: 'scale', step: field('0.1 g'), capacity: field('3 kg') }),
  tool('Bathroom scale, 0.2 lb', { type: 'scale', step: field('0.2 lb'), capacity: field('330 lb') }),
  tool('Cup with 5 mL marks', { type: 'cup or jug', step: field('5 mL'), capacity: field('250 mL') }),
  tool('1 L jug', { type: 'cup or jug', step: field('20 mL'), capacity: field('1 L') }),
  tool('Weighing tub', { type: 'weighing tub', tare: field('1.4 lb'), capacity: field('30 lb') }),
  tool('Taped stride', {
    type: 'taped stride',
    course: course('Taped stride', '2025-03-03', ['38.5 paces', '38 paces', '38.4 paces']),
  }),
  tool(MEASURING_WHEEL.name, { type: 'measuring wheel', course: MEASURING_WHEEL.course }),
]

const runId = (key: string, i: number) => named(`run ${key} ${i}`)
const remarks = (heldBy: string) => ({ schema: 1, heldBy, by: 'T. Arkwright', notes: '' }) as const

/** Weighed in and back over a taped 48 ft course. */
function spread(
  name: string,
  on: string,
  setting: string,
  product: string,
  used: readonly string[],
  course: {
    readonly width: string
    readonly start: number
    readonly unit?: MassUnit
    readonly length?: string
  },
): SampleCalibration {
  const key = `${name} ${on} ${product}`
  const { unit = 'lb' } = course
  return {
    id: named(`calibration ${key}`),
    equipmentId: named(`equipment ${name}`),
    document: {
      ...remarks('own pace, metronome'),
      kind: 'spread',
      course: {
        on,
        length: typed(course.length ?? '48', 'ft'),
        width: typed(course.width, 'ft'),
        speed: typed('3.1', 'mph'),
        setting,
        product,
        runs: used.map((amount, i) => ({
          id: runId(key, i),
          start: typed(String(course.start), unit),
          left: typed(String(Number((course.start - Number(amount)).toFixed(3))), unit),
        })),
      },
    },
  }
}

/** Water used over a taped course. */
function spray(
  name: string,
  on: string,
  course: {
    readonly length: string
    readonly width: string
    readonly speed: string
    readonly unit: VolumeUnit
    readonly heldBy: string
  },
  used: readonly string[],
): SampleCalibration {
  const key = `${name} ${on}`
  return {
    id: named(`calibration ${key}`),
    equipmentId: named(`equipment ${name}`),
    document: {
      ...remarks(course.heldBy),
      kind: 'spray',
      course: {
        on,
        length: typed(course.length, 'ft'),
        width: typed(course.width, 'ft'),
        speed: typed(course.speed, 'mph'),
        runs: used.map((amount, i) => ({ id: runId(key, i), used: typed(amount, course.unit) })),
      },
    },
  }
}

const SLOW = 'Slow-feed 21-0-6 granule'
const push = { width: '11', start: 18.4 }
const tow = {
  length: '132',
  width: `11'8"`,
  speed: '3.1',
  unit: 'gal',
  heldBy: 'second gear, throttle at the mark',
} as const
const ride = { length: '300', width: '20', speed: '4', unit: 'gal', heldBy: 'pedal stop two' } as const
const backpack = {
  length: '40',
  width: '5.5',
  speed: '2.6',
  unit: 'fl oz',
  heldBy: 'one stroke a second',
} as const

/** Two seasons of calibrations: most fresh, one stale, one found with another product. */
export const sampleCalibrations = (): readonly SampleCalibration[] => [
  spread(PUSH, '2025-04-15', '12', SLOW, ['0.86', '0.9', '0.88'], push),
  spread(PUSH, '2025-09-10', '13', 'Autumn 5-0-26 granule', ['1.09', '1.05', '1.1'], push),
  spread(PUSH, '2025-04-02', '11.5', 'Dithiopyr on 19-0-4 granule', ['1.02', '1.05', '1.01'], push),
  spread(PUSH, '2025-06-12', '8', 'Chlorantraniliprole granule', ['0.5', '0.49', '0.52'], push),
  spread(PUSH, '2025-06-16', '9.5', 'Bifenthrin granule', ['0.7', '0.73', '0.71'], push),
  spread(PUSH, '2026-03-26', '11.5', 'Dithiopyr on 19-0-4 granule', ['1.03', '1.04', '1.02'], push),
  spread(PUSH, '2026-04-20', '10', SLOW, ['0.58', '0.6', '0.59'], push),
  spread(PUSH, '2026-04-19', '15', SLOW, ['1.47', '1.52', '1.5'], push),
  spread(PUSH, '2026-04-21', '12', SLOW, ['0.88', '0.92', '0.9'], push),
  spread(PUSH, '2026-05-04', '9.5', 'Bifenthrin granule', ['0.71', '0.7', '0.72'], push),
  spread(DROP, '2026-04-02', '6', SLOW, ['0.33', '0.34'], { width: '2', start: 6 }),
  spread(CRANK, '2026-03-20', '2', 'Autumn 5-0-26 granule', ['0.58', '0.66'], { width: '6', start: 3 }),
  spray(TOW, '2025-04-07', tow, ['1.88', '1.91', '1.9']),
  spray(TOW, '2025-07-21', tow, ['1.95', '1.98', '1.96']),
  spray(TOW, '2026-04-13', tow, ['1.9', '1.94', '1.92']),
  spray(RIDE, '2025-04-03', ride, ['6.1', '6.2', '6.15']),
  spray(RIDE, '2026-03-24', ride, ['6.2', '6.25', '6.2']),
  spray(
    'Hose-end bottle',
    '2026-04-24',
    { length: '50', width: '6', speed: '2', unit: 'gal', heldBy: 'tap full open' },
    ['1.5', '1.6'],
  ),
  spray(BACKPACK, '2025-05-16', backpack, ['34', '33.5', '34.5']),
  spray(BACKPACK, '2026-02-17', backpack, ['33', '34.5']),
  ...otherWays(),
]

const catches = <U extends AmountUnit>(unit: U, list: string) =>
  list.split(' ').map((text) => typed(text, unit))
const blankCourse = { length: typed('', 'ft' as const), speed: typed('', 'mph' as const) }
const weighed = { start: typed('', 'lb' as const), left: typed('', 'lb' as const) }
const refilled = { used: typed('', 'gal' as const) }

/** One of every other way of calibrating, each older than the calibration its machine works by. */
const otherWays = (): readonly SampleCalibration[] => [
  {
    id: named('calibration drop caught'),
    equipmentId: named(`equipment ${DROP}`),
    document: {
      ...remarks('own pace'),
      kind: 'spread',
      course: {
        ...blankCourse,
        by: 'catch',
        on: '2026-04-01',
        length: field('50 ft'),
        width: field('2 ft'),
        speed: field('3 mph'),
        setting: '6',
        product: SLOW,
        runs: ['160', '152', '156'].map((amount, i) => ({
          id: runId('drop caught', i),
          ...weighed,
          caught: typed(amount, 'g'),
        })),
      },
    },
  },
  {
    id: named('calibration crank bagged'),
    equipmentId: named(`equipment ${CRANK}`),
    document: {
      ...remarks('a turn a step'),
      kind: 'spread',
      course: {
        ...blankCourse,
        by: 'timed catch',
        on: '2026-03-19',
        width: field('6 ft'),
        timed: { length: field('50 ft'), times: [field('17 s'), field('17.2 s')] },
        setting: '2',
        product: 'Autumn 5-0-26 granule',
        runs: ['1.1', '1.06'].map((amount, i) => ({
          id: runId('crank bagged', i),
          ...weighed,
          caught: typed(amount, 'lb'),
          time: field('30 s'),
        })),
      },
    },
  },
  {
    id: named('calibration tow caught'),
    equipmentId: named(`equipment ${TOW}`),
    document: {
      ...remarks('second gear, throttle at the mark'),
      kind: 'spray',
      course: {
        ...blankCourse,
        by: 'nozzle catch',
        on: '2026-04-12',
        width: field('20 in'),
        timed: { length: field('132 ft'), times: [field('29.2 s'), field('28.9 s'), field('29 s')] },
        pressure: field('30 psi'),
        nozzles: 'seven flat fans; number 5 reads 9 % high',
        catching: { time: field('30 s'), catches: catches('fl oz', '19.6 19.9 19.4 19.8 21.5 19.7 19.6') },
        runs: [{ id: runId('tow caught', 0), ...refilled }],
      },
    },
  },
  {
    id: named('calibration ride 128th'),
    equipmentId: named(`equipment ${RIDE}`),
    document: {
      ...remarks('pedal stop two'),
      kind: 'spray',
      course: {
        ...blankCourse,
        by: '1/128 acre',
        on: '2026-03-23',
        width: field('20 in'),
        count: '12',
        pressure: field('40 psi'),
        nozzles: 'twelve flat fans',
        runs: ['44.6', '45'].map((amount, i) => ({
          id: runId('ride 128th', i),
          used: typed(amount, 'fl oz'),
          time: field('34.8 s'),
        })),
      },
    },
  },
  {
    id: named('calibration backpack drained'),
    equipmentId: named(`equipment ${BACKPACK}`),
    document: {
      ...remarks('one stroke a second'),
      kind: 'spray',
      course: {
        ...blankCourse,
        by: 'drain',
        on: '2026-02-15',
        length: field('40 ft'),
        width: field('5.5 ft'),
        speed: field('2.6 mph'),
        runs: [
          { id: runId('backpack drained', 0), ...refilled, start: field('1 gal'), left: field('94 fl oz') },
        ],
      },
    },
  },
  {
    id: named('calibration backpack by hand'),
    equipmentId: named(`equipment ${BACKPACK}`),
    document: {
      ...remarks('one stroke a second'),
      kind: 'spray',
      course: {
        ...blankCourse,
        by: 'one nozzle',
        on: '2026-02-16',
        length: field('40 ft'),
        width: field('5.5 ft'),
        runs: ['33', '34'].map((amount, i) => ({
          id: runId('backpack by hand', i),
          used: typed(amount, 'fl oz'),
          time: field('10.5 s'),
        })),
      },
    },
  },
  {
    id: named('calibration bottle drawn'),
    equipmentId: named('equipment Hose-end bottle'),
    document: {
      ...remarks('tap full open'),
      kind: 'spray',
      course: {
        ...blankCourse,
        by: 'hose-end',
        on: '2026-04-23',
        width: field('6 ft'),
        product: 'Block-copolymer wetting agent',
        nozzles: 'dial at 2',
        covered: { ground: field('1000 ft2'), time: field('2 min') },
        runs: [{ id: runId('bottle drawn', 0), used: field('7.9 fl oz'), time: field('2 min') }],
      },
    },
  },
]

export interface SampleTrial {
  readonly id: string
  readonly equipmentId: string
  readonly document: BenchTestDocument
}

/**
 * A row of trays under the push spreader, a little fuller on the right; the tow boom's seven nozzles, the
 * fifth nine per cent high.
 */
export const sampleTrials = (): readonly SampleTrial[] => [
  {
    id: named('trial push 2026-04-20'),
    equipmentId: named(`equipment ${PUSH}`),
    document: {
      ...blankPattern('us-1000', 'broadcast'),
      on: '2026-04-20',
      by: 'T. Arkwright',
      product: SLOW,
      setting: '12',
      spacing: field('2 ft'),
      tray: { width: field('12 in'), length: field('12 in') },
      passes: '6',
      catches: catches('g', '0.4 1 1.9 2.9 3.7 4.1 4 3.5 2.5 1.4 0.5'),
    },
  },
  {
    id: named('trial tow 2026-04-12'),
    equipmentId: named(`equipment ${TOW}`),
    document: {
      ...blankNozzles('us-1000', 7),
      on: '2026-04-12',
      by: 'T. Arkwright',
      heldBy: 'second gear, throttle at the mark',
      time: field('30 s'),
      spacing: field('20 in'),
      rated: field('38.4 fl oz'),
      catches: catches('fl oz', '19.6 19.9 19.4 19.8 21.5 19.7 19.6'),
      course: { length: field('132 ft'), times: [field('29.2 s'), field('28.9 s'), field('29 s')] },
      wanted: field('1 gal/1000 ft2'),
      pressure: { now: field('30 psi'), low: field('15 psi'), high: field('60 psi') },
    },
  },
]
