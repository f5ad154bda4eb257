// @ts-check

/** A stop that the person at the keyboard can do something about: one sentence, no stack. */
export class Stop extends Error {}

/** @param {string} line */
export const say = (line) => {
  process.stdout.write(`${line}\n`)
}

/**
 * Runs one slow step, saying what it is and how long it took.
 * @template T
 * @param {string} what
 * @param {() => Promise<T>} work
 * @returns {Promise<T>}
 */
export async function step(what, work) {
  const begun = Date.now()
  say(`${what} …`)
  const tick = setInterval(() => say(`  … ${Math.round((Date.now() - begun) / 1000)} s`), 20_000)
  try {
    const result = await work()
    say(`  done in ${((Date.now() - begun) / 1000).toFixed(1)} s`)
    return result
  } finally {
    clearInterval(tick)
  }
}

/**
 * Runs the body of a script; a `Stop` ends it with its sentence, anything else with its stack.
 * @param {() => Promise<void>} main
 */
export async function runMain(main) {
  try {
    await main()
  } catch (error) {
    if (error instanceof Stop) process.stderr.write(`\n${error.message}\n`)
    else process.stderr.write(`\n${error instanceof Error ? error.stack : String(error)}\n`)
    process.exit(1)
  }
}
