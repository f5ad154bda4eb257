import type { ProductKind } from '../label/productDocument'
import { blankIn } from '../quantity/entered'
import { SYSTEM_UNITS, type UnitSystem } from '../quantity/systems'
import type { WindowName } from '../season/windows/seasonWindow'
import type { ProgramDocument, ProgramStep, StepWhen } from './programShape'

/** A way of telling days with nothing typed yet. */
export const blankWhen = (by: StepWhen['by'], system: UnitSystem): StepWhen => {
  const unit = system.startsWith('metric') ? '°C' : '°F'
  return {
    by,
    window: '',
    half: 'warming',
    soilFrom: blankIn(unit),
    soilTo: blankIn(unit),
    from: '',
    to: '',
    base: '',
    units: '',
    since: '',
    step: '',
    daysFrom: '',
    daysTo: '',
  }
}

export const blankStep = (id: string, system: UnitSystem): ProgramStep => ({
  id,
  title: '',
  kind: '',
  productId: '',
  nitrogen: blankIn(SYSTEM_UNITS[system].massRate),
  when: blankWhen('window', system),
  times: '',
  every: '',
  notes: '',
})

/** A step of a usual program, before it has an id. `after`: the place of the step it follows. */
interface UsualStep {
  readonly title: string
  readonly kind: ProductKind | ''
  readonly when: Partial<StepWhen> & Pick<StepWhen, 'by'>
  readonly after?: number
  readonly times?: string
  readonly every?: string
  /** Lb N on 1,000 ft2. */
  readonly nitrogen?: string
  readonly notes?: string
}

const window = (name: WindowName): UsualStep['when'] => ({ by: 'window', window: name })
const seed = (daysFrom: string, daysTo: string): UsualStep['when'] => ({ by: 'seed', daysFrom, daysTo })
const dates = (from: string, to: string): UsualStep['when'] => ({ by: 'dates', from, to })

const COOL: readonly UsualStep[] = [
  { title: 'Barrier, first half', kind: 'pre-emergent herbicide', when: window('spring pre-emergent') },
  {
    title: 'Barrier, second half',
    kind: 'pre-emergent herbicide',
    when: { by: 'after', daysFrom: '30', daysTo: '45' },
    after: 0,
  },
  {
    title: 'Light spring feed',
    kind: 'fertilizer',
    when: {
      by: 'soil',
      half: 'warming',
      soilFrom: { text: '50', unit: '°F' },
      soilTo: { text: '65', unit: '°F' },
    },
    nitrogen: '0.5',
    notes: 'Once it grows and was mown.',
  },
  { title: 'Root disease, preventive', kind: 'fungicide', when: window('root disease') },
  { title: 'White grubs, preventive', kind: 'insecticide', when: dates('05-20', '07-10') },
  { title: 'Aerate', kind: '', when: dates('09-01', '10-15'), notes: 'Book it early.' },
  {
    title: 'Main autumn feed',
    kind: 'fertilizer',
    when: {
      by: 'soil',
      half: 'cooling',
      soilFrom: { text: '65', unit: '°F' },
      soilTo: { text: '50', unit: '°F' },
    },
    times: '2',
    every: '35',
    nitrogen: '0.8',
  },
]

const WARM_DORMANT: readonly UsualStep[] = [
  { title: 'Scalp', kind: '', when: { by: 'soil', half: 'warming', soilFrom: { text: '50', unit: '°F' } } },
  {
    title: 'Barrier, first half',
    kind: 'pre-emergent herbicide',
    when: window('spring pre-emergent'),
  },
  {
    title: 'Barrier, second half',
    kind: 'pre-emergent herbicide',
    when: { by: 'after', daysFrom: '30', daysTo: '45' },
    after: 1,
  },
  {
    title: 'Summer feed',
    kind: 'fertilizer',
    when: window('warm feed'),
    times: '3',
    every: '42',
    nitrogen: '0.8',
    notes: 'From fully green; a light start at half green.',
  },
  {
    title: 'Growth regulator',
    kind: 'growth regulator',
    when: { by: 'heat units', base: '10', units: '800', since: '04-15' },
    times: '4',
    every: '28',
    notes: 'The first at a reduced rate; do not mow either side.',
  },
  { title: 'Raise the cut before heat', kind: '', when: dates('06-15', '07-05') },
  { title: 'Autumn barrier', kind: 'pre-emergent herbicide', when: window('autumn pre-emergent') },
  {
    title: 'Potassium before winter',
    kind: 'fertilizer',
    when: window('potassium'),
    notes: 'No quick nitrogen.',
  },
  {
    title: 'Spring dead spot, preventive',
    kind: 'fungicide',
    when: window('spring dead spot'),
    times: '2',
    every: '28',
  },
]

const WARM_OVERSEEDED: readonly UsualStep[] = [
  ...WARM_DORMANT.slice(0, 6),
  { title: 'Growth regulator before the seed', kind: 'growth regulator', when: seed('-14', '-7') },
  { title: 'Overseed', kind: '', when: seed('0', '0') },
  {
    title: 'Starter feed',
    kind: 'fertilizer',
    when: seed('14', '28'),
    nitrogen: '0.5',
    notes: 'No pre-emergent now; after the seed is established.',
  },
]

/** Programs to begin with; every step can be changed. Source: trade.md 10. */
const USUAL_PROGRAMS = {
  'cool-season lawn': COOL,
  'warm-season lawn, left dormant': WARM_DORMANT,
  'warm-season lawn, overseeded': WARM_OVERSEEDED,
} as const
export type UsualProgram = keyof typeof USUAL_PROGRAMS
export const USUAL_PROGRAM_NAMES = Object.keys(USUAL_PROGRAMS) as readonly UsualProgram[]

/** One of them as a program of one's own. @param newId gives the ids of its steps */
export function usualProgram(name: UsualProgram, system: UnitSystem, newId: () => string): ProgramDocument {
  const usual: readonly UsualStep[] = USUAL_PROGRAMS[name]
  const ids = usual.map(() => newId())
  return {
    schema: 1,
    lawn: name,
    notes: '',
    steps: usual.map(({ title, kind, when, after, times = '', every = '', nitrogen, notes = '' }, i) => ({
      ...blankStep(ids[i] ?? '', system),
      title,
      kind,
      when: {
        ...blankWhen(when.by, system),
        ...when,
        step: after === undefined ? '' : (ids[after] ?? ''),
      },
      times,
      every,
      ...(nitrogen !== undefined && { nitrogen: { text: nitrogen, unit: 'lb/1000 ft2' as const } }),
      notes,
    })),
  }
}
