import type { CompassPoint } from '../../ground/compass'
import { typedFigure } from '../../quantity/entered'
import { blankIn, type Entered } from '../../quantity/entered'
import { speedSi } from '../../quantity/quantity'
import type { LengthUnit, SpeedUnit, TemperatureUnit, TimeUnit } from '../../quantity/units'

/** What is asked of eyes rather than instruments; each as it should be answered before anything goes out. */
export const GATE_QUESTIONS = ['people', 'bees', 'notices', 'equipment', 'gear', 'label'] as const
export type GateQuestion = (typeof GATE_QUESTIONS)[number]
export const LEAVES = ['', 'dry', 'wet'] as const
export const GROUNDS = ['', 'dry', 'moist', 'soaked'] as const
export const ANSWERS = ['', 'yes', 'no'] as const

/** What was read at the gate, as typed; blank where nothing was. */
export interface GateReadings {
  readonly wind: Entered<SpeedUnit>
  readonly gust: Entered<SpeedUnit>
  readonly air: Entered<TemperatureUnit>
  readonly soil: Entered<TemperatureUnit>
  /** Until rain is told to come; blank: none is told. */
  readonly rainIn: Entered<TimeUnit>
  /** Fallen in the day before. */
  readonly rained: Entered<LengthUnit>
  readonly leaf: (typeof LEAVES)[number]
  readonly ground: (typeof GROUNDS)[number]
  /** Since it was mown. */
  readonly mown: Entered<TimeUnit>
  /** `yes` is as it should be: people away, no bees, notices up, machine checked, gear on, label at hand. */
  readonly answers: Readonly<Record<GateQuestion, (typeof ANSWERS)[number]>>
  /** Where the figures come from: a station's name, or blank where they were read here. */
  readonly from: string
  /** Where the wind comes from; blank or absent where nobody looked. */
  readonly windFrom?: '' | CompassPoint | undefined
}

/** A gate at which nothing was read yet. */
export const blankGate = (units: {
  readonly speed: SpeedUnit
  readonly temperature: TemperatureUnit
  readonly depth: LengthUnit
}): GateReadings => ({
  wind: blankIn(units.speed),
  gust: blankIn(units.speed),
  air: blankIn(units.temperature),
  soil: blankIn(units.temperature),
  rainIn: blankIn('h'),
  rained: blankIn(units.depth),
  leaf: '',
  ground: '',
  mown: blankIn('h'),
  answers: { people: '', bees: '', notices: '', equipment: '', gear: '', label: '' },
  from: '',
})

/**
 * Readings with some of them read by hand: gusts that a station told hold no longer where the wind read here
 * is stronger.
 */
export function readByHand(before: GateReadings, read: Partial<GateReadings>): GateReadings {
  const after = { ...before, ...read }
  const speed = (name: 'wind' | 'gust') => {
    const figure = typedFigure(after[name], 'speed', 'zero-too')
    return figure && speedSi(figure)
  }
  const [wind, gust] = [speed('wind'), speed('gust')]
  return read.wind &&
    !read.gust &&
    before.from !== '' &&
    wind !== undefined &&
    gust !== undefined &&
    gust < wind
    ? { ...after, gust: { ...after.gust, text: '' } }
    : after
}
