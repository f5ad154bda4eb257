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

/** The quickest of some runs: the same for both sides, the first of them warms up. */
export function bestOf<T extends { readonly seconds: number } | undefined>(runs: number, run: () => T): T {
  let best = run()
  for (let i = 1; i < runs; i++) {
    const next = run()
    if (best && next && next.seconds < best.seconds) best = next
  }
  return best
}

export function timed<T>(work: () => T): { readonly value: T; readonly seconds: number } {
  const begun = performance.now()
  const value = work()
  return { value, seconds: (performance.now() - begun) / 1000 }
}
