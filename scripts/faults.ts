import { spawn } from 'node:child_process'
import {
  cpSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { join } from 'node:path'
import { figures, keepFigures } from '../bench/figures'
import { faultPoints, type Fault } from './faults/faultPoints'
import { PROJECT } from './setup/paths.mjs'

/**
 * Whether the tests of core notice that it is wrong: one deliberate fault at a time in a copy of the sources,
 * a seeded sample of a room, until a test turns red. `npm run faults [room] [count]`; goes on where it
 * stopped; the killed share with its 95 % interval stands in docs/bench.json. What no input tells apart is
 * listed in scripts/faults/equivalents.json with its reason.
 */
const MOST_A_ROOM = 300
const SEED = 33
/** A fault that never ends is noticed too. */
const GIVEN_UP_MS = 120_000
const STATE = join(PROJECT, '.data', 'faults')
const COPIES = [0, 1].map((i) => join(STATE, `copy-${i}`))
const COPIED = ['core', 'shared', 'demo', 'test', 'app', 'server', 'bench', 'scripts']
const LINKED = [
  'node_modules',
  '.nuxt',
  'package.json',
  'vitest.config.ts',
  'tsconfig.json',
  'docs',
  'public',
]

type Found = 'killed' | 'survived'
type Known = Record<string, Found>

const [only, count] = process.argv.slice(2).filter((word) => !word.startsWith('--'))
const rooms = readdirSync(join(PROJECT, 'core'), { withFileTypes: true })
  .filter((entry) => entry.isDirectory() && (only === undefined || entry.name === only))
  .map(({ name }) => name)
  .toSorted()
const equivalents = JSON.parse(
  readFileSync(join(PROJECT, 'scripts', 'faults', 'equivalents.json'), 'utf8'),
) as Record<string, string>

mkdirSync(STATE, { recursive: true })
for (const copy of COPIES) freshCopy(copy)
// A copy in which nothing passes would notice everything.
for (const copy of COPIES)
  if (!(await passes(copy, ['run', 'core/'])))
    throw new Error('The tests of core are not green without a fault: mend them first.')
for (const room of rooms) await ofRoom(room)

async function ofRoom(room: string): Promise<void> {
  const sample = sampleOf(room).slice(0, Number(count ?? MOST_A_ROOM))
  const file = join(STATE, `${room}.json`)
  const known: Known = existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Known) : {}
  const waiting = sample.filter((fault) => !known[keyOf(fault)])
  await Promise.all(
    COPIES.map(async (copy) => {
      for (let fault = waiting.shift(); fault; fault = waiting.shift()) {
        const found = await tryFault(copy, room, fault)
        known[keyOf(fault)] = found
        writeFileSync(file, JSON.stringify(known, null, 1))
        if (found === 'survived') process.stdout.write(`survived ${keyOf(fault)}\n`)
      }
    }),
  )
  const tried = sample.filter((fault) => !equivalents[keyOf(fault)])
  const killed = tried.filter((fault) => known[keyOf(fault)] === 'killed').length
  const share = killed / tried.length
  const [from, to] = interval(killed, tried.length)
  process.stdout.write(`${room}: ${killed} of ${tried.length} noticed, ${percent(share)} %\n`)
  const before = (figures().faults ?? {}) as Record<string, unknown>
  keepFigures({
    faults: {
      ...before,
      [room]: {
        tried: tried.length,
        killed,
        share: percent(share),
        interval: [percent(from), percent(to)],
        equivalent: sample.length - tried.length,
      },
    },
  })
}

/** Where a fault stands, told so that an edit elsewhere in the file does not make it another. */
function keyOf({ file, line, sort, instead, from, to }: Fault): string {
  const text = readFileSync(join(PROJECT, file), 'utf8').slice(from, to)
  return `${file}:${line} ${sort} ${text} -> ${instead}`
}

/** A seeded sample of a room: all sorts of tokens of all its files alike. */
function sampleOf(room: string): readonly Fault[] {
  const files = readdirSync(join(PROJECT, 'core', room), { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
    .map((name) => `core/${room}/${name}`)
    .toSorted()
  const all = files.flatMap((file) => faultPoints(file, readFileSync(join(PROJECT, file), 'utf8')))
  const next = random(SEED)
  return all
    .map((fault) => ({ fault, place: next() }))
    .toSorted((a, b) => a.place - b.place)
    .map(({ fault }) => fault)
    .slice(0, MOST_A_ROOM)
}

/** The tests of its own room first, then all that read the file. */
async function tryFault(copy: string, room: string, { file, from, to, instead }: Fault): Promise<Found> {
  const path = join(copy, file)
  const right = readFileSync(join(PROJECT, file), 'utf8')
  writeFileSync(path, `${right.slice(0, from)}${instead}${right.slice(to)}`)
  try {
    const own = ['run', `core/${room}/`, '--passWithNoTests']
    if (!(await passes(copy, own))) return 'killed'
    return (await passes(copy, ['related', file, '--run', '--passWithNoTests'])) ? 'survived' : 'killed'
  } finally {
    writeFileSync(path, right)
  }
}

function passes(cwd: string, words: readonly string[]): Promise<boolean> {
  return new Promise((resolve) => {
    const vitest = join(PROJECT, 'node_modules', 'vitest', 'vitest.mjs')
    const run = spawn(
      process.execPath,
      [vitest, ...words, '--project', 'core', '--bail', '1', '--reporter', 'dot', '--maxWorkers', '1'],
      { cwd, stdio: 'ignore', env: { ...process.env, CI: '1' } },
    )
    const timer = setTimeout(() => run.kill('SIGKILL'), GIVEN_UP_MS)
    run.on('exit', (code) => {
      clearTimeout(timer)
      resolve(code === 0)
    })
  })
}

function freshCopy(copy: string): void {
  rmSync(copy, { recursive: true, force: true })
  mkdirSync(copy, { recursive: true })
  for (const name of COPIED)
    if (existsSync(join(PROJECT, name))) cpSync(join(PROJECT, name), join(copy, name), { recursive: true })
  for (const name of LINKED)
    if (existsSync(join(PROJECT, name))) symlinkSync(join(PROJECT, name), join(copy, name))
}

/** Mulberry32: the same sample on every machine. */
function random(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296
  }
}

/** 95 % interval of a share after Wilson. */
function interval(hits: number, tries: number): readonly [number, number] {
  const z = 1.96
  const share = hits / tries
  const middle = (share + z ** 2 / (2 * tries)) / (1 + z ** 2 / tries)
  const half =
    (z / (1 + z ** 2 / tries)) * Math.sqrt((share * (1 - share)) / tries + z ** 2 / (4 * tries ** 2))
  return [middle - half, middle + half]
}
function percent(share: number): number {
  return Number((100 * share).toFixed(1))
}
