import fc from 'fast-check'
import { expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { closedWorkingBook } from '../working/working'
import { BOOM_UNKNOWNS, solveBoom, type BoomUnknown, type KnownNozzle } from './solveBoom'

test.each(readTable('solveBoom.csv', import.meta.url))('$name: $words', (row) => {
  const some = (column: string) => (row[column] ? { [column]: figure(row, column) } : {})
  const nozzle: KnownNozzle = {
    flow: figure(row, 'flow'),
    ...some('pressure'),
    ...(row.low && { range: { low: figure(row, 'low'), high: figure(row, 'high') } }),
  }
  const held = {
    ...some('carrier'),
    ...some('speed'),
    ...some('spacing'),
    ...(row.work && { pressure: figure(row, 'work') }),
    gravity: row.gravity ? figure(row, 'gravity') : 1,
  }
  const answer = solveBoom(row.unknown as BoomUnknown, nozzle, held, '', closedWorkingBook)
  expect(answer.ok && answer.value.value / figure(row, 'value')).toBeCloseTo(1, 10)
  expect(answer.ok && answer.value.state).toBe(row.state)
})

test('what is missing is named, and a pressure outside the nozzle is refused', () => {
  const held = { carrier: 3e-5, speed: 1.5, gravity: 1 }
  expect(solveBoom('speed', { flow: 2e-5 }, held, '', closedWorkingBook)).toEqual({
    ok: false,
    error: { kind: 'missing', what: 'spacing' },
  })
  expect(solveBoom('pressure', { flow: 2e-5 }, { ...held, spacing: 0.5 }, '', closedWorkingBook)).toEqual({
    ok: false,
    error: { kind: 'missing', what: 'pressure' },
  })
  const range = { low: 1e5, high: 4e5 }
  expect(
    solveBoom(
      'speed',
      { flow: 2e-5, pressure: 2e5, range },
      { ...held, spacing: 0.5, pressure: 5e5 },
      '',
      closedWorkingBook,
    ),
  ).toEqual({ ok: false, error: { kind: 'outOfRange', range } })
})

test('whatever is solved for, putting it back gives the carrier again', () => {
  const some = (min: number, max: number) => fc.double({ min, max, noNaN: true })
  fc.assert(
    fc.property(
      fc.constantFrom(...BOOM_UNKNOWNS),
      some(1e-5, 4e-5),
      some(1e-5, 9e-5),
      some(0.8, 2),
      some(0.3, 0.8),
      some(0.9, 1.3),
      (unknown, flow, carrier, speed, spacing, gravity) => {
        const nozzle = { flow, pressure: 2e5, range: { low: 1, high: 1e9 } }
        const found = solveBoom(unknown, nozzle, { carrier, speed, spacing, gravity }, '', closedWorkingBook)
        if (!found.ok) throw new Error(found.error.kind)
        const { value } = found.value
        const back = solveBoom(
          'carrier',
          unknown === 'flow' ? { ...nozzle, flow: value } : nozzle,
          {
            speed: unknown === 'speed' ? value : speed,
            spacing: unknown === 'spacing' ? value : spacing,
            gravity,
            ...(unknown === 'pressure' && { pressure: value }),
          },
          '',
          closedWorkingBook,
        )
        expect(back.ok && back.value.value / (unknown === 'carrier' ? value : carrier)).toBeCloseTo(1, 8)
      },
    ),
  )
})
