import { describe, expect, test } from 'vitest'
import { licenceOf, licenceStanding } from './licence'
import { passphraseProblem } from './passphrase'
import { DEEDS, mayDo, ROLES, whoMay } from './roles'
import { signInWait } from './signInWait'

test('each role may do less than the one before it, and everybody may look', () => {
  const deeds = ROLES.map((role) => DEEDS.filter((deed) => mayDo(role, deed)))
  expect(deeds.map(({ length }) => length)).toEqual([4, 3, 2, 1])
  expect(ROLES.every((role) => mayDo(role, 'look'))).toBe(true)
  expect(whoMay('govern')).toBe('an owner')
  expect(whoMay('run')).toBe('an owner, a technician or an apprentice')
})

describe('a passphrase', () => {
  test.each([
    ['eleven letters', 'abcdefghijk', /at least 12/],
    ['too long', 'xy'.repeat(65), /at most 128/],
    ['one letter again and again', 'aaaaaaaaaaaaaaaa', /repeats/],
    ['digits only', '123456789012', /first that are tried/],
    ['a usual one with a year', 'Password Password 2026', /first that are tried/],
    ['the own name', 'Rosalind Rosalind 1', /mostly your own name/],
  ])('%s is refused', (_, passphrase, words) => {
    expect(passphraseProblem(passphrase, ['rosalind', 'Green Crew'])).toMatch(words)
  })

  test.each(['wet clover at seven', 'Rosalind keeps eleven geese', 'кленовый лист осенью'])(
    '%s will do',
    (passphrase) => {
      expect(passphraseProblem(passphrase, ['rosalind', 'Green Crew'])).toBeUndefined()
    },
  )
})

test('waiting between tries grows and ends at a quarter of an hour', () => {
  const waits = Array.from({ length: 30 }, (_, failures) => signInWait(failures))
  expect(waits.slice(0, 7)).toEqual([0, 0, 0, 0, 2, 4, 8])
  expect(waits.at(-1)).toBe(900)
  expect(waits.every((wait, i) => i === 0 || wait >= waits[i - 1]!)).toBe(true)
})

test.each([
  ['', '2026-01-01', 'none'],
  ['A-1', '', 'valid'],
  ['A-1', '2026-05-05', 'ended'],
  ['A-1', '2026-05-06', 'ends-soon'],
  // Thirty days after 6 May is 5 June.
  ['A-1', '2026-06-05', 'ends-soon'],
  ['A-1', '2026-06-06', 'valid'],
])('licence %s that ends %s is %s on 6 May', (licence, ends, standing) => {
  expect(licenceStanding(licence, ends, '2026-05-06')).toBe(standing)
})

test('a licence on record is a person’s own or none; the crew’s is named as the crew’s', () => {
  expect(licenceOf({ licence: ' C-12 ' }, 'C-4471')).toBe('C-12')
  expect(licenceOf({ licence: '' }, 'C-4471')).toBe('')
  expect(licenceOf(undefined, 'C-4471')).toBe('C-4471 (the crew’s)')
  expect(licenceOf(undefined, ' ')).toBe('')
})
