import { expect, test } from 'vitest'
import { sampleCalibrations } from '../../demo/sampleEquipment'
import type { CalibrationDocument } from './calibrationShape'
import { calibrationRows, readCalibrationRows } from './calibrationRows'

const counter = () => {
  let made = 0
  return () => `id ${++made}`
}
/** Runs get new ids when they are read, and a method is always named. */
const plain = ({ id, document }: { readonly id: string; readonly document: CalibrationDocument }) => {
  const { runs, ...course } = document.course
  return {
    id,
    document: {
      ...document,
      course: {
        by: document.kind === 'spread' ? 'known area' : 'refill',
        ...course,
        runs: runs.map(({ id: _, ...run }) => run),
      },
    },
  }
}

test('a table of calibrations gives back what was typed, to the letter, whichever method', () => {
  const calibrations = sampleCalibrations()
  const rows = calibrationRows(calibrations, new Map())
  const read = readCalibrationRows(rows, counter())
  expect(read.problems).toEqual([])
  expect(read.calibrations.map(plain)).toEqual(calibrations.map(plain))
  expect(
    new Set(calibrations.map(({ document }) => document.course.by ?? document.kind)).size,
  ).toBeGreaterThanOrEqual(7)
})

test('a table somebody made with a spreadsheet: bare figures, runs below their calibration, new ids', () => {
  const first = {
    kind: 'spread',
    day: '2026-05-01',
    product: 'Granule',
    setting: '12',
    length: '48',
    width: '11 ft',
    speed: '5 km/h',
    run: '1',
    start: '10',
    left: '9.1',
  }
  const { calibrations } = readCalibrationRows(
    [first, { run: '2', start: '9.1', left: '8.2' }, { ...first, setting: '14' }],
    counter(),
  )
  expect(calibrations.map(({ document }) => document.course.runs.length)).toEqual([2, 1])
  expect(calibrations[0]?.document.course).toMatchObject({
    by: 'known area',
    length: { text: '48', unit: 'ft' },
    width: { text: '11', unit: 'ft' },
    speed: { text: '5', unit: 'km/h' },
  })
})

test('one bad line refuses the whole table and says where and what would be right', () => {
  const row = {
    kind: 'spread',
    method: 'known area',
    day: '2026-05-01',
    length: '48 ft',
    width: '11 ft',
    run: '1',
    start: '10 lb',
    left: '9 lb',
  }
  const { calibrations, problems } = readCalibrationRows(
    [row, { ...row, start: 'ten', day: '1 May' }, { ...row, kind: 'fly' }, { ...row, method: 'by ear' }],
    counter(),
  )
  expect(calibrations).toEqual([])
  expect(problems.map(({ line, column }) => [line, column])).toEqual([
    [3, 'day'],
    [3, 'start'],
    [4, 'kind'],
    [5, 'method'],
  ])
  expect(problems.at(-1)?.message).toContain('known area, catch, timed catch, job')
})
