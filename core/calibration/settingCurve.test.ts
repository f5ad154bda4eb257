import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { drawsFrom, normal } from '../quantity/draws'
import { closedWorkingBook, openWorkingBook } from '../working/working'
import { flowAt, settingCurve, settingFor } from './settingCurve'
import type { SettingPoint } from './settingPoint'

/** '8:0.030@60' is setting 8, 0.030 kg/s, 60 days old. */
const pointsOf = (text: string): readonly SettingPoint[] =>
  text.split(' ').map((one) => {
    const [, setting = '', flow = '', age = '0'] = /^([\d.]+):([\d.]+)(?:@(\d+))?$/.exec(one) ?? []
    return { setting: Number(setting), flow: Number(flow), age: Number(age) }
  })

test.each(readTable('settingCurve.csv', import.meta.url))('$name: $words', (row) => {
  const answer = flowAt(settingCurve(pointsOf(row.points ?? '')), figure(row, 'setting'))
  expect(answer.ok && answer.value.flow).toBeCloseTo(figure(row, 'flow'), 10)
  expect(answer.ok && answer.value.reach).toBe(row.reach)
})

test('what can’t be known is refused: nothing tested, far beyond, a curve that turns back', () => {
  expect(flowAt(settingCurve([]), 10)).toEqual({ ok: false, error: { kind: 'noPoints' } })
  const curve = settingCurve(pointsOf('8:0.02 12:0.05'))
  expect(flowAt(curve, 14)).toMatchObject({ ok: false, error: { kind: 'outside', most: { setting: 12 } } })
  expect(settingFor(curve, 0.2, 'ask', closedWorkingBook)).toMatchObject({
    ok: false,
    error: { kind: 'outside' },
  })
  expect(flowAt(settingCurve(pointsOf('8:0.05 12:0.02')), 10)).toEqual({
    ok: false,
    error: { kind: 'impossible', between: [8, 12] },
  })
})

test('where the curve turns back it is refused, and only there', () => {
  const curve = settingCurve(pointsOf('8:0.02 12:0.05 14:0.03 18:0.09'))
  const flow = (setting: number) => flowAt(curve, setting).ok
  expect([8, 10, 12, 13, 14, 16, 18].map(flow)).toEqual([true, true, false, false, false, true, true])
  const setting = (wanted: number) => {
    const answer = settingFor(curve, wanted, 'ask', closedWorkingBook)
    return answer.ok ? (answer.value.setting < 12 ? 'low' : 'high') : answer.error.kind
  }
  expect([0.025, 0.03, 0.04, 0.07, 0.2].map(setting)).toEqual([
    'low',
    'impossible',
    'impossible',
    'high',
    'outside',
  ])
})

test('on a flat stretch at the low end the answer is a setting that was tested', () => {
  const answer = settingFor(settingCurve(pointsOf('8:0.05 10:0.05 12:0.08')), 0.05, '', closedWorkingBook)
  expect(answer).toMatchObject({ ok: true, value: { setting: 8, reach: 'tested' } })
})

test('the working names every tested setting, and a guess is called one', () => {
  const book = openWorkingBook()
  settingFor(settingCurve(pointsOf('8:0.02 8:0.022 12:0.05')), 0.03, 'ask', book)
  const lines = book.pages()[0]?.lines ?? []
  expect(lines[0]).toBe('setting 8: 21 g/s, mean of 2')
  expect(lines.at(-1)).toMatch(/^setting 9\.\d+$/)
  const guess = openWorkingBook()
  settingFor(settingCurve(pointsOf('12:0.045')), 0.0225, 'ask', guess)
  expect(guess.pages()[0]?.lines.join('\n')).toMatch(/a guess[\s\S]*setting 8$/)
})

describe('properties', () => {
  const rising = fc
    .array(fc.tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 40 })), {
      minLength: 2,
      maxLength: 9,
    })
    .map((steps) => {
      let [setting, flow] = [2, 0.01]
      return steps.map(([mark, grams]): SettingPoint => {
        setting += mark
        flow += grams / 1000
        return { setting, flow, age: 0 }
      })
    })
  const share = fc.double({ min: 0, max: 1, noNaN: true })

  test('the curve rises throughout and never overshoots its points', () => {
    fc.assert(
      fc.property(rising, share, share, (points, a, b) => {
        const curve = settingCurve(points)
        const [first, last] = [points[0]!, points.at(-1)!]
        const at = (part: number) => first.setting + part * (last.setting - first.setting)
        const flow = (setting: number) => {
          const answer = flowAt(curve, setting)
          return answer.ok ? answer.value.flow : Number.NaN
        }
        expect(flow(at(Math.max(a, b)))).toBeGreaterThanOrEqual(flow(at(Math.min(a, b))) - 1e-12)
        const i = points.findLastIndex(({ setting }) => setting <= at(a))
        const [low, high] = [points[i]!, points[Math.min(i + 1, points.length - 1)]!]
        expect(flow(at(a))).toBeGreaterThanOrEqual(low.flow - 1e-12)
        expect(flow(at(a))).toBeLessThanOrEqual(high.flow + 1e-12)
      }),
    )
  })

  test('asked back, the setting gives the flow that was wanted', () => {
    fc.assert(
      fc.property(rising, share, (points, part) => {
        const curve = settingCurve(points)
        const wanted = points[0]!.flow + part * (points.at(-1)!.flow - points[0]!.flow)
        const asked = settingFor(curve, wanted, 'ask', closedWorkingBook)
        const back = asked.ok ? flowAt(curve, asked.value.setting) : asked
        expect(back.ok && back.value.flow).toBeCloseTo(wanted, 9)
      }),
    )
  })

  // Two runs of 9.8 and 10.2: sd 2.828 %, / root 2 on the mean; one day: 3 % is taken, for it and for today.
  // Root (2 x 0.0009 + 0.0004) = 4.690 %; 0.0022^2 / 0.0004^2 = 30 degrees: x 2.042 / 1.96.
  test.each([
    ['one day', '10:0.0098 10:0.0102', 0, 10, 0.048867],
    ['one day and what its course may be off', '10:0.0098 10:0.0102', 0.02, 10, 0.052802],
    // Two days that agree: (2 x 0.0009 + 0) / 3 = 0.0006 of days, x 1.5; runs 0.0008 / 4: root 0.0011, 60
    // degrees.
    ['two days', '10:0.0098 10:0.0102 10:0.0098@1 10:0.0102@1', 0, 10, 0.03385],
    // Half way between two settings of one day, each two runs: 2 x 0.0009 + 0.0008 / 4, 200 degrees.
    ['between two settings', '10:0.0098 10:0.0102 20:0.0196 20:0.0204', 0, 15, 0.044995],
    // One run on each of three days, 4 % up and down: 0.0032 / 2 found, by three weights of 1: n0 = 1. Days
    // (0.0018 + 0.0032) / 4 = 0.00125, x 1.3333; what runs do is in it. 25 / 2 x (0.005 / 0.0032)^2 ...: 4.
    ['one run on each of three days', '10:0.0096 10:0.01@1 10:0.0104@2', 0, 10, 0.0578],
  ])('the doubt of a flow: %s', (_, text, shared, setting, doubt) => {
    const points = pointsOf(text).map((point) => ({ ...point, shared }))
    const read = flowAt(settingCurve(points), setting)
    expect(read.ok && read.value.doubt).toBeCloseTo(doubt, 3)
  })

  test('a single run has no band, and settings that were each run once have none', () => {
    for (const text of ['10:0.01', '10:0.01 12:0.014'])
      expect(flowAt(settingCurve(pointsOf(text)), 10)).toMatchObject({
        ok: true,
        value: { doubt: undefined },
      })
  })

  test('the stated spread of repeats is the truth’s, over many seeded calibrations', () => {
    const draw = drawsFrom(11)
    const spreads = Array.from({ length: 200 }, () => {
      const points = [8, 10, 12, 14].flatMap((setting) =>
        Array.from({ length: 3 }, (): SettingPoint => ({
          setting,
          flow: 0.004 * setting * (1 + normal(draw, 0.03)),
          age: 0,
        })),
      )
      return settingCurve(points).spread ?? 0
    })
    expect(spreads.reduce((sum, one) => sum + one, 0) / spreads.length).toBeCloseTo(0.03, 2)
  })
})
