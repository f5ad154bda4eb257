import type { ApplicationDocument } from '#core/jobsheet/document'
import type { RunDetails } from '#core/run/runEvent'
import type { Used } from '#core/run/outcome'
import { analysis, lawn, part, product, sampleId, spraying, sprayerCourse, spreaderCourse, spreading, typed } from './typed'

/** What happened to a job of the sample: when it was started, and, if it is over, what was used. */
export interface SampleRun {
  readonly startedAt: string
  readonly finishedAt?: string
  /** Product ids are filled in from the document, in its order. */
  readonly putIn?: readonly Used['putIn'][number]['amount'][]
  readonly used?: Omit<Used, 'putIn'>
  readonly details?: RunDetails
}

export interface SampleJob {
  readonly id: string
  readonly applicationId: string
  readonly site: string
  readonly purpose: string
  readonly plannedFor: string
  readonly state: 'draft' | 'planned'
  readonly document: ApplicationDocument
  readonly run?: SampleRun
}

const slowFeed = () => product('Slow-feed 21-0-6 granule', 'spread', {
  rate: typed('3.4', 'lb/1000 ft2'), low: typed('2.4', 'lb/1000 ft2'), high: typed('4.8', 'lb/1000 ft2'), most: typed('4.8', 'lb/1000 ft2'),
  analysis: analysis('21', '0', '6', '0', '60'), step: typed('0.2', 'lb'),
})

const chelatedIron = (rate: string) => product('Chelated iron 6 %', 'spray', {
  rate: typed(rate, 'fl oz/1000 ft2'), low: typed('2', 'fl oz/1000 ft2'), high: typed('5', 'fl oz/1000 ft2'),
  density: typed('10.9', 'lb/gal'), analysis: analysis('0', '0', '0', '6', '0'), step: typed('5', 'mL'),
})

const trinexapac = (rate: string) => product('Trinexapac-ethyl 11.3 %', 'spray', {
  form: 'emulsifiable concentrate',
  rate: typed(rate, 'mL/100 m2'), low: typed('8', 'mL/100 m2'), high: typed('12.5', 'mL/100 m2'), most: typed('12.5', 'mL/100 m2'),
  active: { name: 'trinexapac-ethyl', content: typed('11.3', '%') }, step: typed('5', 'mL'),
})

const surfactant = () => product('Non-ionic surfactant', 'spray', { form: 'surfactant', rate: typed('0.25', '%'), high: typed('0.5', '%'), step: typed('5', 'mL') })

const pushSpreader = { equipment: '80 lb broadcast push spreader', passes: 2, reserve: typed('3', 'lb') }
const towBoom = { equipment: '26 gal tow boom, seven nozzles at 20 in', tank: typed('26', 'gal'), dead: typed('0.4', 'gal'), agitate: typed('5', 'gal') }
const backpack = { equipment: '3 gal pump backpack, one wide-angle nozzle', tank: typed('3', 'gal'), dead: typed('6', 'fl oz'), agitate: typed('0.5', 'gal') }

const boomCourse = (on: string) => sprayerCourse(on, typed('132', 'ft'), typed(`11'8"`, 'ft'), '3.1', [typed('1.9', 'gal'), typed('1.94', 'gal'), typed('1.92', 'gal')])
const backpackCourse = (on: string) => sprayerCourse(on, typed('40', 'ft'), typed('5.5', 'ft'), '2.6', [typed('33', 'fl oz'), typed('34.5', 'fl oz')])

const greenAndSurrounds = () => [
  lawn('Green', [part('add', 'rectangle', { length: '38.4', width: '38.4' }, 'm'), part('subtract', 'rectangle', { length: '38.4', width: '1' }, 'm')]),
  lawn('Surrounds', [part('add', 'rectangle', { length: '46', width: '46' }, 'm'), part('subtract', 'rectangle', { length: '38.4', width: '38.4' }, 'm')]),
]

const details = (by: string, target: string, weather: string, remarks: string): RunDetails => ({ by, licence: 'TP-0417 (sample)', target, weather, remarks })

/** The jobs of the sample crew around the morning of 6 May; every name, size and rate is made up. */
export const sampleJobs = (): readonly SampleJob[] => [
  {
    id: sampleId(1), applicationId: sampleId(101), site: 'Cooperage Row', purpose: 'Spring feed, front strips', plannedFor: '2026-05-06', state: 'planned',
    document: spreading([
      lawn('Front strips 1-3', [part('add', 'rectangle', { length: `96'4"`, width: '23.5' }), part('subtract', 'rectangle', { length: '96', width: '3.2' })], { instrument: 'wheel' }),
      lawn('Front strips 4-6', [part('add', 'trapezoid', { side: '97', opposite: '88.5', height: '22' }), part('subtract', 'circle', { diameter: '9.5' })], { instrument: 'wheel' }),
      lawn('Shared green', [part('add', 'rectangle', { length: '104', width: '62' }), part('subtract', 'ellipse', { length: '18', width: '11.5' })], { treated: 'no' }),
    ], [slowFeed()], { ...pushSpreader, calibration: spreaderCourse('2026-04-21', '12', 'Slow-feed 21-0-6 granule', [['18.4', '17.52'], ['17.52', '16.6'], ['16.6', '15.7']]) }),
  },
  {
    id: sampleId(2), applicationId: sampleId(102), site: 'Tamsin Point Bowls Club', purpose: 'Growth regulator with iron', plannedFor: '2026-05-06', state: 'planned',
    document: spraying(greenAndSurrounds(), [trinexapac('9.5'), chelatedIron('3.4'), surfactant()], { ...towBoom, calibration: boomCourse('2026-04-13') }),
    run: { startedAt: '2026-05-06T11:05:00.000Z' },
  },
  {
    id: sampleId(3), applicationId: sampleId(103), site: 'The Saltings', purpose: 'Iron for colour, front and side', plannedFor: '2026-05-07', state: 'draft',
    document: spraying([
      lawn('Fescue front', [part('add', 'rectangle', { length: '71', width: '38.5' }), part('subtract', 'triangle', { base: '14', height: '11' })]),
      lawn('Centipede side', [part('add', 'trapezoid', { side: '44', opposite: '36', height: '27.5' })]),
    ], [chelatedIron('5.8'), surfactant()], { ...backpack, calibration: backpackCourse('2026-02-17') }),
  },
  {
    id: sampleId(4), applicationId: sampleId(104), site: 'Quarry Lane Cemetery', purpose: 'Light feed on the slopes', plannedFor: '2026-05-08', state: 'planned',
    document: spreading([
      lawn('East slope', [part('add', 'rectangle', { length: '188', width: '74' }), part('subtract', 'rectangle', { length: '41', width: '12' })], { instrument: 'paced' }),
    ], [{ ...slowFeed(), rate: typed('2.6', 'lb/1000 ft2') }],
    { ...pushSpreader, calibration: spreaderCourse('2026-02-24', '10', 'Autumn 5-0-26 granule', [['22', '21.28'], ['21.28', '20.6']]) }),
  },
  {
    id: sampleId(5), applicationId: sampleId(105), site: 'Marlow Court', purpose: 'Spring feed, terrace', plannedFor: '2026-04-29', state: 'planned',
    document: spreading([lawn('Terrace', [part('add', 'rectangle', { length: '84', width: '31' })])], [slowFeed()],
      { ...pushSpreader, calibration: spreaderCourse('2026-04-21', '12', 'Slow-feed 21-0-6 granule', [['18.4', '17.52'], ['17.52', '16.6'], ['16.6', '15.7']]) }),
    run: {
      startedAt: '2026-04-29T12:10:00.000Z', finishedAt: '2026-04-29T12:52:00.000Z',
      putIn: [{ value: 11.8, unit: 'lb' }], used: { treated: { value: 2600, unit: 'ft2' }, left: { value: 2.7, unit: 'lb' } },
      details: details('T. Arkwright', 'spring feeding', '61 F, wind 4 mph SW, leaf dry', 'Swept the terrace steps.'),
    },
  },
  {
    id: sampleId(6), applicationId: sampleId(106), site: 'Tamsin Point Bowls Club', purpose: 'Iron for colour', plannedFor: '2026-04-15', state: 'planned',
    document: spraying(greenAndSurrounds().slice(0, 1), [chelatedIron('2.8'), surfactant()], { ...towBoom, calibration: boomCourse('2026-04-13') }),
    run: {
      startedAt: '2026-04-15T11:20:00.000Z', finishedAt: '2026-04-15T12:05:00.000Z',
      putIn: [{ value: 1320, unit: 'mL' }, { value: 185, unit: 'mL' }],
      used: { treated: { value: 1436, unit: 'm2' }, made: { value: 19.6, unit: 'gal' }, left: { value: 1.7, unit: 'gal' } },
      details: details('T. Arkwright', 'colour', '55 F, wind 6 mph W', 'Sprayed 1.3 gal of the rest on the check by the shed; paving rinsed.'),
    },
  },
]
