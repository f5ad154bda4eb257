import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { spreading } from '../../test/support/documents'
import { drawnAfresh } from '../draft/drawnAfresh'
import { knownDetails } from './knownDetails'

const noted = {
  ...spreading([], [], {}),
  day: { turf: 'growing' as const, air: typed('78', '°F' as const), soil: typed('', '°F' as const) },
}

test('the log says who, against what and in which weather, as far as it is known', () => {
  const crew = { by: 'T. Arkwright', licence: 'C-4471' }
  expect(knownDetails(noted, ' crabgrass ', crew)).toEqual({
    ...crew,
    target: 'crabgrass',
    weather: '78 °F air, turf growing',
    remarks: '',
  })
  expect(knownDetails(undefined, '', crew)).toMatchObject({ target: '', weather: '' })
})

test('planned again, weather, dial and pace are drawn afresh; lawns, labels and machine stay', () => {
  const { spread } = noted
  const used = { ...noted, spread: { ...spread, dial: '10.3', speedToday: typed('2.5', 'mph' as const) } }
  const again = drawnAfresh(used)
  expect(again).not.toHaveProperty('day')
  expect(again.spread).not.toHaveProperty('dial')
  expect(again.spread.speedToday).toEqual({ text: '', unit: 'mph' })
  expect(again).toMatchObject({ lawns: noted.lawns, products: noted.products, method: noted.method })
})
