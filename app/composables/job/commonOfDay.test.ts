import { beforeEach, expect, test } from 'vitest'
import type { CommonStop } from '#core/run/common/commonStop'
import { withVue } from '../../../test/support/vueGlobals'
import { leftBefore } from './commonOfDay'

let answer: () => Promise<unknown>
beforeEach(() =>
  withVue({ crewUrl: (path: string) => path, $fetch: (path: string) => (asked.push(path), answer()) }),
)
let asked: string[] = []

const stop = (from?: string) =>
  ({ ...(from && { from: { applicationId: from, site: 'Elm House' } }) }) as unknown as CommonStop

test('what the site before has on record is offered; without it nobody knows', async () => {
  asked = []
  answer = async () => ({ record: { used: { left: { value: 5.5, unit: 'gal' } } } })
  expect(await leftBefore(stop('first'))).toEqual({ value: 5.5, unit: 'gal' })
  expect(asked).toEqual(['/applications/first/events'])
  answer = async () => ({ record: { used: undefined } })
  expect(await leftBefore(stop('first'))).toBeUndefined()
  answer = () => Promise.reject(new Error('no network'))
  expect(await leftBefore(stop('first'))).toBeUndefined()
})

test('the first site asks for nothing', async () => {
  asked = []
  expect(await leftBefore(stop())).toBeUndefined()
  expect(asked).toEqual([])
})
