import { expect, test } from 'vitest'
import { isDoor, placeAfter } from './doors'

test.each([
  ['/jobs/1?a=2', '/jobs/1?a=2'],
  ['//evil.example/x', '/today'],
  ['https://evil.example', '/today'],
  ['/\\\\evil.example', '/today'],
  [undefined, '/today'],
  [['/a', '/b'], '/today'],
])('after signing in for %j one comes to %s: never to an address of others', (next, place) => {
  expect(placeAfter(next)).toBe(place)
})

test('the doors are there before anybody is signed in; nothing else is', () => {
  expect(['/sign-in', '/join', '/today', '/sign-in/x'].map(isDoor)).toEqual([true, true, false, false])
})
