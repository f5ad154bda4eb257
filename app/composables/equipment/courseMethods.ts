import type { SpreadMethod, SprayMethod } from '#core/calibration/courseNote'

/** One figure of a run, as its field. */
export interface RunField {
  readonly name: 'start' | 'left' | 'caught' | 'used' | 'time'
  readonly label: string
  readonly kind: 'mass' | 'volume' | 'stopwatch'
}

/** How a method is named, and what is done for it, in the order of the tailgate. */
export interface MethodWords {
  readonly text: string
  readonly ready: string
  readonly run: string
  readonly length: string
  readonly width: string
  readonly fields: readonly RunField[]
}

const field = (name: RunField['name'], label: string, kind: RunField['kind']): RunField => ({
  name,
  label,
  kind,
})
const WEIGHED = [field('start', 'weighed in', 'mass'), field('left', 'weighed back', 'mass')]

export const SPREAD_WORDS: Readonly<Record<SpreadMethod, MethodWords>> = {
  'known area': {
    text: 'weigh in, weigh back',
    ready: 'Tape a course, load the product, set the dial',
    run: 'Weigh in, spread the course once at working pace, weigh back',
    length: 'Course length',
    width: 'Swath',
    fields: WEIGHED,
  },
  catch: {
    text: 'tray or bag over a course',
    ready: 'Tape a course, hang the tray or bag, set the dial',
    run: 'Walk the course once at working pace and weigh what was caught',
    length: 'Course length',
    width: 'Swath',
    fields: [field('caught', 'caught', 'mass')],
  },
  'timed catch': {
    text: 'bag for a time',
    ready: 'Hang a bag under the gate, set the dial',
    run: 'Open the gate for a time, feed as in work, weigh what was caught',
    length: 'Course length',
    width: 'Swath',
    fields: [field('caught', 'caught', 'mass'), field('time', 'open for', 'stopwatch')],
  },
  job: {
    text: 'weighed back on a job',
    ready: 'Start low on the dial, with a reserve charge',
    run: 'Weigh in, spread the lawn, weigh back',
    length: 'Course length',
    width: 'Swath',
    fields: WEIGHED,
  },
}

export const SPRAY_WORDS: Readonly<Record<SprayMethod, MethodWords>> = {
  refill: {
    text: 'refill to the mark',
    ready: 'Tape a course, fill with water to a mark',
    run: 'Spray the course at working speed, measure what refills it to the mark',
    length: 'Course length',
    width: 'Sprayed width',
    fields: [field('used', 'water used', 'volume')],
  },
  drain: {
    text: 'fill and drain',
    ready: 'Tape a course, start from empty',
    run: 'Fill a measured amount, spray the course, drain and measure what is left',
    length: 'Course length',
    width: 'Sprayed width',
    fields: [field('start', 'filled in', 'volume'), field('left', 'drained', 'volume')],
  },
  'nozzle catch': {
    text: 'catch every nozzle',
    ready: 'Fill with water, run at working pressure',
    run: 'Catch every nozzle for the same time',
    length: '',
    width: 'Nozzle spacing',
    fields: [],
  },
  '1/128 acre': {
    text: 'a 128th of an acre',
    ready: 'Measure the nozzle spacing; the course follows from it',
    run: 'Time the course at working speed, then catch one nozzle for that time',
    length: '',
    width: 'Nozzle spacing',
    fields: [field('used', 'caught', 'volume'), field('time', 'time on the course', 'stopwatch')],
  },
  'one nozzle': {
    text: 'one nozzle by hand',
    ready: 'Tape a distance, measure how wide it sprays',
    run: 'Time the distance at working pace, then catch the nozzle for that time',
    length: 'Distance',
    width: 'Sprayed width',
    fields: [field('time', 'time for the distance', 'stopwatch'), field('used', 'caught', 'volume')],
  },
  'hose-end': {
    text: 'hose-end bottle',
    ready: 'Fill the bottle to a mark, open the tap full',
    run: 'Spray for a time and measure what the bottle lost',
    length: '',
    width: 'Strip width',
    fields: [field('used', 'drawn', 'volume'), field('time', 'sprayed for', 'stopwatch')],
  },
  job: {
    text: 'measured back on a job',
    ready: 'Mix a measured volume of spray',
    run: 'Spray the lawn, drain and measure what is left',
    length: '',
    width: 'Sprayed width',
    fields: [field('start', 'made', 'volume'), field('left', 'left', 'volume')],
  },
}
