import { expect, test } from 'vitest'
import type { NewRunEvent, Run } from '#shared/schemas/run'
import { eventsHere, type KeptRun } from './keptRuns'

const event = (id: string, body: object) =>
  ({ id, deviceId: 'd', sequence: 1, counter: 1, at: '2026-05-06T12:00:00.000Z', ...body }) as NewRunEvent
const kept = (events: readonly [NewRunEvent, 'waiting' | 'refused'][], more: object = {}) =>
  ({ ...more, events: events.map(([one, state]) => ({ event: one, state })) }) as unknown as KeptRun
const known = (...ids: readonly string[]) =>
  ({ events: ids.map((id) => event(id, { kind: 'noted', payload: { words: id } })) }) as unknown as Run
const note = event('n1', { kind: 'noted', payload: { words: 'wet' } })

test('what waits stands beside what the server has, once, and what it refused does not', () => {
  expect(eventsHere(undefined, undefined)).toEqual([])
  expect(eventsHere(known('a'), kept([[note, 'waiting']])).map(({ id }) => id)).toEqual(['a', 'n1'])
  expect(eventsHere(known('n1'), kept([[note, 'waiting']])).map(({ id }) => id)).toEqual(['n1'])
  expect(eventsHere(known('a'), kept([[note, 'refused']])).map(({ id }) => id)).toEqual(['a'])
})

test('a plan frozen here stands in until the server’s has come; without one there is no plan yet', () => {
  const planned = event('p', { kind: 'planned', payload: { seen: { loads: 2 } } })
  expect(eventsHere(undefined, kept([[planned, 'waiting']]))).toEqual([])
  const [frozen] = eventsHere(undefined, kept([[planned, 'waiting']], { frozen: { site: 'Elm House' } }))
  expect(frozen).toMatchObject({ kind: 'planned', payload: { site: 'Elm House', seen: { loads: 2 } } })
})

test('what carries nothing is whole all the same', () => {
  const begun = eventsHere(undefined, kept([[event('s', { kind: 'started' }), 'waiting']]))
  expect(begun).toMatchObject([{ kind: 'started', payload: {} }])
})
