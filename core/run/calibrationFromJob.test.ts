import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { spraying, sprayerCourse, spreaderCourse, spreading } from '../../test/support/documents'
import { readCalibrationDocument } from '../calibration/calibrationDocument'
import { fieldReader } from '../quantity/fieldReader'
import { closedWorkingBook } from '../working/working'
import { calibrationFromJob } from './calibrationFromJob'
import type { Used } from './outcome'

const machine = { id: '0196f0c0-0000-7000-8000-000000000001', version: 3 }
const learned = (draft: Parameters<typeof calibrationFromJob>[0], used: Used) =>
  calibrationFromJob(draft, used, '2026-05-06', 'sam', 'run')
const perPass = (taught: ReturnType<typeof calibrationFromJob>) =>
  taught && readCalibrationDocument(taught.document, fieldReader(), closedWorkingBook)?.measured.mean

test('a dry job teaches its spreader: what went down a pass, at today’s pace', () => {
  const draft = spreading([], [], {
    source: machine,
    passes: 2,
    speedToday: typed('2.9', 'mph'),
    calibration: spreaderCourse('2026-04-01', '12', 'Granule', [['10', '9']]),
  })
  const taught = learned(draft, {
    treated: { value: 5870, unit: 'ft2' },
    putIn: [{ productId: 'p', amount: { value: 25, unit: 'lb' } }],
    left: { value: 5.04, unit: 'lb' },
  })
  expect(taught).toMatchObject({ equipmentId: machine.id, document: { by: 'sam', course: { by: 'job' } } })
  expect(taught?.document.course.speed).toEqual(typed('2.9', 'mph'))
  // 19.96 lb x 0.45359237 over 5870 ft2 x 0.09290304 in two passes.
  expect(perPass(taught)).toBeCloseTo((19.96 * 0.45359237) / (5870 * 0.09290304) / 2, 10)
})

const course = sprayerCourse('2026-04-01', typed('132', 'ft'), typed('12', 'ft'), '3', [typed('1.9', 'gal')])
const wet = { treated: { value: 14_200, unit: 'ft2' }, putIn: [], left: { value: 2.4, unit: 'gal' } } as const

test('a wet job teaches its sprayer the carrier volume, over the width of all its nozzles', () => {
  const caught = { ...course, by: 'nozzle catch' as const }
  // Seven were caught; a blank at the end of the list is none.
  const catches = ['19', '19', '20', '19', '19', '20', '19', ''].map((text) => typed(text, 'fl oz' as const))
  const catching = { time: typed('30', 's' as const), catches }
  const draft = spraying([], [], {
    source: machine,
    calibration: { ...caught, width: typed('20', 'in'), catching, pressure: typed('40', 'psi') },
  })
  const taught = learned(draft, { ...wet, made: { value: 20, unit: 'gal' } })
  expect(taught?.document.course).toMatchObject({ width: typed('140', 'in'), pressure: typed('40', 'psi') })
  // 17.6 gal x 3.785411784 L over 14200 ft2.
  expect(perPass(taught)).toBeCloseTo((17.6 * 0.003785411784) / (14_200 * 0.09290304), 12)
})

test('nothing is learned of a machine that is not saved, of a bottle, or where nothing was measured', () => {
  const made = { value: 20, unit: 'gal' } as const
  expect(learned(spraying([], [], {}), { ...wet, made })).toBeUndefined()
  const bottle = { ...course, by: 'hose-end' as const }
  expect(
    learned(spraying([], [], { source: machine, calibration: bottle }), { ...wet, made }),
  ).toBeUndefined()
  expect(learned(spraying([], [], { source: machine }), wet)).toBeUndefined()
})
