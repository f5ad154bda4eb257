import { expect, test } from 'vitest'
import { field, typed } from '../../demo/typed'
import { fieldReader } from '../quantity/fieldReader'
import { closedWorkingBook, openWorkingBook } from '../working/working'
import { readNozzles, readPattern } from './readBenchTest'
import { blankNozzles, blankPattern } from './benchTest'
import type { NozzleBenchTest, PatternBenchTest } from './benchTestShape'

const pattern = (fields: Partial<PatternBenchTest> = {}): PatternBenchTest => ({
  ...blankPattern('us-1000', 'broadcast'),
  spacing: field('2 ft'),
  catches: ['0', '1', '2', '3', '4', '3', '2', '1', '0'].map((text) => typed(text, 'g' as const)),
  ...fields,
})
/** Seven nozzles 20 in apart at 0.31 GPM (19.84 fl oz in 30 s), 132 ft in 29.0323 s: 3.1 mph. */
const nozzles = (fields: Partial<NozzleBenchTest> = {}): NozzleBenchTest => ({
  ...blankNozzles('us-1000', 7),
  time: field('30 s'),
  spacing: field('20 in'),
  catches: Array.from({ length: 7 }, () => typed('19.84', 'fl oz' as const)),
  course: { length: field('132 ft'), times: [field('29.03226 s'), field('29.03226 s')] },
  ...fields,
})

test('a triangle of nine trays every 2 ft: even at 8 ft, its rate by the lane it belongs to', () => {
  const book = openWorkingBook()
  const read = readPattern(
    pattern({ lane: field('8 ft'), passes: '2', tray: { width: field('1 ft'), length: field('1 ft') } }),
    fieldReader(),
    book,
  )
  expect(read?.cv).toBeLessThan(1e-9)
  expect((read?.half ?? 0) / 0.3048).toBeCloseTo(8, 1)
  // 16 g on 1 ft2 twice is 8 g/ft2; a lane of 8 ft for trays of 2 ft: 8 x 2 / 8 = 2 g/ft2 = 2,000 g on 1,000
  // ft2.
  expect((read?.rate?.perArea ?? 0) * 1000 * 92.90304).toBeCloseTo(2000, 6)
  expect(book.pages().map(({ figure, lines }) => `${figure}: ${lines.at(-1)}`)).toEqual([
    expect.stringMatching(/^swath: effective swath /),
    // 8 ft are 2.4384 m.
    'half: half-rate width = 2.4384 m',
    'pattern.rate: mean of one pass 2000 g/1000 ft2',
  ])
})

test('a blank at the end is where the next reading would go: the answer stays', () => {
  const filled = readPattern(pattern(), fieldReader(), closedWorkingBook)
  const longer = pattern({
    catches: [...pattern().catches, typed('', 'g' as const), typed('', 'g' as const)],
  })
  expect(readPattern(longer, fieldReader(), closedWorkingBook)).toEqual(filled)
  const caught = readNozzles(nozzles(), fieldReader(), closedWorkingBook)
  const one = nozzles({ catches: [...nozzles().catches, typed('', 'fl oz' as const)] })
  expect(readNozzles(one, fieldReader(), closedWorkingBook)).toEqual(caught)
})

test('nozzles and a course: 29.7 gal/ac, and the speed for 1 gal on 1,000 ft2', () => {
  const read = readNozzles(
    nozzles({
      wanted: field('1 gal/1000 ft2'),
      pressure: { now: field('30 psi'), low: field('15 psi'), high: field('60 psi') },
    }),
    fieldReader(),
    closedWorkingBook,
  )
  expect((read?.carrier ?? 0) / (3.785411784e-3 / 4046.8564224)).toBeCloseTo(29.7, 4)
  // 29.7 gal/ac is 0.68182 gal/1000 ft2: 3.1 x 0.68182 = 2.11364 mph, or pressure 30 / 0.68182².
  expect((read?.asked?.answer.ok ? read.asked.answer.value.value : 0) / 0.44704).toBeCloseTo(2.11364, 4)
  expect((read?.asked?.pressure?.pressure ?? 0) / 6894.757293168).toBeCloseTo(64.533, 2)
  expect(read?.asked?.pressure?.within).toBe('too-high')
})

test.each([
  ['no spacing', pattern({ spacing: typed('', 'ft') }), 'missing document.spacing'],
  [
    'three trays',
    pattern({ catches: [field('1 g'), field('2 g'), field('1 g')] }),
    'missing document.catches',
  ],
  [
    'weighed and measured mixed',
    pattern({ catches: [...pattern().catches.slice(0, 8), field('5 mL')] }),
    'wrong document.catches.0',
  ],
  [
    'nothing caught',
    pattern({ catches: pattern().catches.map(() => field('0 g')) }),
    'wrong document.catches.0',
  ],
  ['half a pass', pattern({ passes: '2.5' }), 'wrong document.passes'],
] as const)('%s is told at its field', (_, trial, problem) => {
  const fields = fieldReader()
  readPattern(trial, fields, closedWorkingBook)
  expect(fields.problems.map(({ kind, path }) => `${kind} ${path}`)).toContain(problem)
})

test('no water is told; without a course there is no carrier to guess', () => {
  const fields = fieldReader()
  readNozzles(nozzles({ catches: [field('0 fl oz')] }), fields, closedWorkingBook)
  expect(fields.problems[0]?.message).toContain('Nothing was caught')
  const still = readNozzles(
    nozzles({ course: { length: typed('', 'ft'), times: [typed('', 's')] } }),
    fieldReader(),
    closedWorkingBook,
  )
  expect(still).toMatchObject({ carrier: undefined, speed: undefined, check: { clean: [] } })
})

test('fans overlap, thin out or leave a gap by height, angle and spacing', () => {
  // 2 x 20 in x tan 40° = 33.56 in: 20 in apart overlap by 0.404; 30 in apart by 0.106; 40 in apart leave a
  // gap.
  const fan = (spacing: string) =>
    readNozzles(
      nozzles({ spacing: typed(spacing, 'in'), fan: { height: typed('20', 'in'), angle: typed('80', '°') } }),
      fieldReader(),
      closedWorkingBook,
    )?.fan
  expect((fan('20')?.width ?? 0) / 0.0254).toBeCloseTo(33.564, 3)
  expect([fan('20'), fan('30'), fan('40')].map((one) => `${one?.state} ${one?.overlap?.toFixed(3)}`)).toEqual(
    ['covered 0.404', 'thin 0.106', 'gap -0.192'],
  )
  const fields = fieldReader()
  readNozzles(
    nozzles({
      fan: { height: typed('20', 'in'), angle: typed('180', '°') },
      ask: {
        unknown: 'speed',
        speed: typed('', 'mph'),
        spacing: typed('', 'in'),
        pressure: typed('', 'psi'),
        gravity: '13',
      },
    }),
    fields,
    closedWorkingBook,
  )
  expect(fields.problems.filter(({ kind }) => kind === 'wrong').map(({ path }) => path)).toEqual([
    'document.ask.gravity',
    'document.fan.angle',
  ])
})
