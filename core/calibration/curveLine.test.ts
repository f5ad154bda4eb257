import { expect, test } from 'vitest'
import { curveLine } from './curveLine'
import { settingCurve } from './settingCurve'

const curve = (...points: readonly (readonly [setting: number, flow: number])[]) =>
  settingCurve(points.map(([setting, flow]) => ({ setting, flow, age: 0 })))

test('stands in its box from the first setting to the last, the largest flow at the top', () => {
  const line = curveLine(curve([8, 0.02], [12, 0.05], [16, 0.08]), 84, 26)
  expect(line?.dots[0]?.[0]).toBe(3)
  expect(line?.dots.at(-1)).toEqual([81, 3])
  expect(line?.path.split(' ')).toHaveLength(25)
})

test.each([
  ['one setting', [[8, 0.02]]],
  [
    'nothing flowing',
    [
      [8, 0],
      [9, 0],
    ],
  ],
] as const)('%s draws nothing', (_, points) => {
  expect(curveLine(curve(...points), 84, 26)).toBeUndefined()
})
