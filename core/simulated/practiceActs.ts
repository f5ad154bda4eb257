import { typedFigure } from '../quantity/entered'
import { spreadMethodOf, sprayMethodOf } from '../calibration/courseNote'
import { hundredTwentyEighthCourse } from '../calibration/nozzleFlow'
import type { Course } from '../calibration/readCourse'
import { readSpeed } from '../calibration/readSpeed'
import { fieldReader } from '../quantity/fieldReader'
import { amountFactor, lengthSi } from '../quantity/quantity'
import type { Entered } from '../quantity/entered'
import { PASCALS_PER, STOPWATCH_PER, type LengthUnit, type StopwatchUnit } from '../quantity/units'
import { closedWorkingBook } from '../working/working'
import type { PracticeAct } from './practiceActShape'

export interface OfferedAct {
  readonly words: string
  readonly act: PracticeAct
}

/**
 * What stands in for a figure that is not typed yet: a 15 m course at 3 mph, half a minute, 5 kg in the
 * hopper, 2 bar.
 */
const USUAL = { length: 15, speed: 1.34, time: 30, amount: 5, setting: 10, pressure: 2e5 } as const

/**
 * What can be done next with the practice machine of a calibration, as its method asks for it, by the figures
 * that are typed.
 */
export function practiceActs(course: Course): readonly OfferedAct[] {
  const { note } = course
  const length = lengthOf(note.length) ?? USUAL.length
  const speed = readSpeed(note, '', fieldReader(), closedWorkingBook) ?? USUAL.speed
  const walk: OfferedAct = {
    words: 'Walk the course with the wheel',
    act: { act: 'walk', length: note.timed ? (lengthOf(note.timed.length) ?? length) : length, speed },
  }
  if (course.kind === 'spray') return [...sprayActs(course.note, length, speed), walk]
  const dial = Number(course.note.setting)
  const setting =
    course.note.setting.trim() !== '' && Number.isFinite(dial) && dial > 0 ? dial : USUAL.setting
  const start = typedFigure(course.note.runs.at(-1)?.start ?? { text: '', unit: 'lb' }, 'mass')
  const method = spreadMethodOf(course.note)
  switch (method) {
    case 'known area':
    case 'job':
      return [
        {
          words: 'Charge the hopper',
          act: { act: 'charge', amount: start ? start.value * amountFactor(start.unit) : USUAL.amount },
        },
        { words: `Spread the course at setting ${setting}`, act: { act: 'spread', setting, length, speed } },
        walk,
      ]
    case 'catch':
      return [
        {
          words: `Walk the tray over the course at setting ${setting}`,
          act: { act: 'catch', setting, time: length / speed },
        },
        walk,
      ]
    case 'timed catch':
      return [
        {
          words: `Hold the bag for 30 s at setting ${setting}`,
          act: { act: 'catch', setting, time: USUAL.time },
        },
        walk,
      ]
    default:
      return method satisfies never
  }
}

function sprayActs(
  note: Extract<Course, { kind: 'spray' }>['note'],
  length: number,
  speed: number,
): readonly OfferedAct[] {
  const pressed = typedFigure(note.pressure, 'pressure')
  const pressure = pressed ? pressed.value * PASCALS_PER[pressed.unit] : USUAL.pressure
  const jug = (nozzle: number, time: number): OfferedAct => ({
    words: `Catch nozzle ${nozzle} for ${Number(time.toFixed(1))} s`,
    act: { act: 'jug', nozzle, time, pressure },
  })
  const method = sprayMethodOf(note)
  switch (method) {
    case 'nozzle catch': {
      const catches = note.catching?.catches ?? []
      const next = catches.findIndex(({ text }) => text.trim() === '')
      return [
        jug(next < 0 ? Math.max(1, catches.length) : next + 1, secondsOf(note.catching?.time) ?? USUAL.time),
      ]
    }
    case '1/128 acre':
      return [jug(1, hundredTwentyEighthCourse(lengthOf(note.width) ?? 0.5) / speed)]
    case 'one nozzle':
      return [jug(1, length / speed)]
    case 'hose-end':
      return [jug(1, USUAL.time)]
    case 'refill':
    case 'drain':
    case 'job':
      return [
        {
          words: 'Spray the course and measure the water',
          act: {
            act: 'spray',
            length,
            speed,
            nozzles: Math.min(60, Math.max(1, Number(note.count) || 1)),
            pressure,
          },
        },
      ]
    default:
      return method satisfies never
  }
}

const lengthOf = (entered: Entered<LengthUnit>): number | undefined => {
  const read = typedFigure(entered, 'length')
  return read && lengthSi(read)
}
const secondsOf = (entered: Entered<StopwatchUnit> | undefined): number | undefined => {
  const read = typedFigure(entered, 'stopwatch')
  return read && read.value * STOPWATCH_PER[read.unit]
}
