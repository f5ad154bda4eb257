import fc from 'fast-check'
import { expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { fieldReader } from '../quantity/fieldReader'
import type { LengthUnit, StopwatchUnit, VolumeUnit } from '../quantity/units'
import { closedWorkingBook, openWorkingBook } from '../working/working'
import { blankSpreaderCourse, blankSprayerCourse } from './blankEquipment'
import type { SpreaderCourse, SprayerCourse } from './calibrationShape'
import { readCourse, type Course } from './readCourse'

const typed = <U extends string>(text = '', unit = 'ft' as U) => ({ text: text.trim(), unit })
const listOf = <U extends string>(text: string, unit: U) =>
  text
    .split(/(?<=[A-Za-z]) (?=\d)/)
    .filter(Boolean)
    .map((one) => typed(one, unit))
/** "start 5 L left 3.2 L" as the fields of a run. */
const runOf = (text: string, i: number) => ({
  id: String(i),
  ...Object.fromEntries(
    [...text.matchAll(/([a-z]+) ([\d.]* ?[a-z ]*?[A-Za-z]*?)(?= [a-z]+ \d|;|$)/g)].map(
      ([, name = '', value]) => [name, typed(value, name === 'time' ? 's' : name === 'used' ? 'gal' : 'lb')],
    ),
  ),
})

function courseOf(row: Readonly<Record<string, string>>): Course {
  const [over, times = ''] = (row.timed ?? '').split(':')
  const [lasted, catches = ''] = (row.catching ?? '').split(':')
  const [ground, taken] = (row.covered ?? '').split(' in ')
  const note = {
    ...(row.by && { by: row.by }),
    on: '2026-05-01',
    length: typed<LengthUnit>(row.length),
    width: typed<LengthUnit>(row.width),
    speed: typed(row.speed, 'mph'),
    runs: (row.runs ?? '').split('; ').map(runOf),
    ...(row.timed && {
      timed: { length: typed<LengthUnit>(over), times: listOf<StopwatchUnit>(times, 's') },
    }),
    ...(row.catching && {
      catching: {
        time: typed<StopwatchUnit>(lasted, 's'),
        catches: listOf<VolumeUnit>(catches.trim(), 'fl oz'),
      },
    }),
    ...(row.covered && { covered: { ground: typed(ground, 'ft2'), time: typed(taken, 's') } }),
    ...(row.ground && { ground: typed(row.ground, 'ft2') }),
    ...(row.passes && { passes: row.passes }),
    ...(row.count && { count: row.count }),
  }
  return row.kind === 'spread'
    ? { kind: 'spread', note: { ...note, setting: '12', product: 'a granule' } as unknown as SpreaderCourse }
    : { kind: 'spray', note: note as unknown as SprayerCourse }
}

test.each(readTable('readCourse.csv', import.meta.url))('$name: $words', (row) => {
  const fields = fieldReader()
  const book = openWorkingBook()
  const read = readCourse(courseOf(row), 'course', fields, book)
  expect(fields.problems).toEqual([])
  expect((read?.measured.mean ?? 0) / figure(row, 'si')).toBeCloseTo(1, 10)
  if (row.at) expect((read?.speed ?? 0) / figure(row, 'at')).toBeCloseTo(1, 10)
  else expect(read?.speed).toBeUndefined()
  expect(
    book
      .pages()
      .some(({ figure: page, lines }) => page === 'calibration' && lines.at(-1)?.startsWith('mean')),
  ).toBe(true)
})

test('what is missing is said at its field, and nothing is guessed', () => {
  const problems = (course: Course) => {
    const fields = fieldReader()
    expect(readCourse(course, 'course', fields, closedWorkingBook)).toBeUndefined()
    return fields.problems.map(({ path }) => path)
  }
  const spreader = { ...blankSpreaderCourse('run', 'us-1000'), width: typed<LengthUnit>('6') }
  expect(problems({ kind: 'spread', note: { ...spreader, by: 'timed catch' } })).toEqual([
    'course.speed',
    'course.runs.0.caught',
    'course.runs.0.time',
  ])
  expect(problems({ kind: 'spread', note: { ...spreader, by: 'job', passes: 'two' } })).toContain(
    'course.passes',
  )
  const sprayer = { ...blankSprayerCourse('run', 'us-1000'), width: typed<LengthUnit>('6') }
  expect(problems({ kind: 'spray', note: { ...sprayer, by: 'nozzle catch' } })).toEqual([
    'course.speed',
    'course.catching.catches',
    'course.catching.time',
  ])
  const nothing = { time: typed<StopwatchUnit>('30', 's'), catches: [typed<VolumeUnit>('0', 'mL')] }
  expect(
    problems({
      kind: 'spray',
      note: { ...sprayer, by: 'nozzle catch', speed: typed('3', 'mph'), catching: nothing },
    }),
  ).toEqual(['course.catching.catches.0'])
})

test('twice the speed of a flow halves the rate, and a catch for twice as long leaves it', () => {
  const rate = (speed: number, caught: number, time: number) =>
    readCourse(
      {
        kind: 'spread',
        note: {
          ...blankSpreaderCourse('run', 'us-1000'),
          by: 'timed catch',
          width: typed<LengthUnit>('6'),
          speed: typed(String(speed), 'mph'),
          runs: [
            {
              id: 'a',
              start: typed('', 'lb'),
              left: typed('', 'lb'),
              caught: typed(String(caught), 'lb'),
              time: typed(String(time), 's'),
            },
          ],
        },
      },
      '',
      fieldReader(),
      closedWorkingBook,
    )?.measured.mean ?? Number.NaN
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 8 }),
      fc.integer({ min: 1, max: 20 }),
      fc.integer({ min: 5, max: 90 }),
      (speed, caught, time) => {
        expect(rate(2 * speed, caught, time) / rate(speed, caught, time)).toBeCloseTo(0.5, 10)
        expect(rate(speed, 2 * caught, 2 * time) / rate(speed, caught, time)).toBeCloseTo(1, 10)
      },
    ),
  )
})
