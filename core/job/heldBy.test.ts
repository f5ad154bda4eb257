import { expect, test } from 'vitest'
import type { WorkedApplication } from './workOutJob'
import { heldBy } from './heldBy'

const plan = {} as WorkedApplication['plan']
const note = { code: 'a', level: 'note', message: 'a note', source: '' } as const
const stop = { code: 'b', level: 'stop', message: 'too soon', source: 'the label' } as const
const missing = { path: 'products.0.rate', kind: 'missing', message: 'Rate is still missing.' } as const
const wrong = { path: 'spread.reserve', kind: 'wrong', message: 'Reserve is a weight.' } as const

test('a stop of any application holds the visit; a figure that only waits for another day does not', () => {
  expect(
    heldBy([
      { plan, problems: [missing], checks: [note] },
      { plan, problems: [], checks: [stop, note] },
    ] as never),
  ).toEqual([{ index: 1, message: 'too soon', path: undefined, stop }])
})

test('what is missing holds while there is no plan, what is wrong always', () => {
  const held = (application: object) => heldBy([application] as never).map(({ path }) => path)
  expect(held({ plan: undefined, problems: [missing], checks: [] })).toEqual(['products.0.rate'])
  expect(held({ plan, problems: [missing, wrong], checks: [] })).toEqual(['spread.reserve'])
})
