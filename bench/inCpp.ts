import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** Enough for a million figures. */
const MOST_OUTPUT = 64 * 1024 * 1024

/**
 * Builds one of the C++ programs beside this file with -O3 and runs it: the same work without us.
 * @returns the figures of its first line; undefined without a compiler
 */
export function ranInCpp(
  source: string,
  args: readonly string[],
  input: string,
): readonly number[] | undefined {
  const folder = mkdtempSync(join(tmpdir(), 'hectarum-cpp-'))
  const program = join(folder, 'program')
  try {
    const path = fileURLToPath(new URL(source, import.meta.url))
    execFileSync('g++', ['-O3', '-march=native', '-std=c++17', '-o', program, path], { stdio: 'ignore' })
    const out = execFileSync(program, [...args], { input, encoding: 'utf8', maxBuffer: MOST_OUTPUT })
    return out.trim().split(' ').map(Number)
  } catch {
    return undefined
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

/** The quickest of some runs; the first of them warms up. */
export function bestOf<T extends { readonly seconds: number }>(runs: number, run: () => T): T {
  return Array.from({ length: runs }, run).reduce(quicker)
}

/**
 * The quickest run of each of two, which take turns: a minute in which the machine is slow holds up both.
 * The second is given what the first came to.
 */
export function bestInTurn<T extends { readonly seconds: number }, U extends { readonly seconds: number }>(
  runs: number,
  one: () => T,
  other: (of: T) => U | undefined,
): readonly [T, U | undefined] {
  const turns = Array.from({ length: runs }, () => {
    const first = one()
    return [first, other(first)] as const
  })
  const others = turns.flatMap(([, second]) => second ?? [])
  return [
    turns.map(([first]) => first).reduce(quicker),
    others.length > 0 ? others.reduce(quicker) : undefined,
  ]
}

const quicker = <T extends { readonly seconds: number }>(a: T, b: T): T => (b.seconds < a.seconds ? b : a)

export function timed<T>(work: () => T): { readonly value: T; readonly seconds: number } {
  const begun = performance.now()
  const value = work()
  return { value, seconds: (performance.now() - begun) / 1000 }
}
