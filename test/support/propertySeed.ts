import fc from 'fast-check'

/**
 * Properties are tried with the same cases everywhere, so that a red run is red on every machine. Other cases
 * and more of them: `PROPERTY_SEED=7 PROPERTY_RUNS=3000 npx vitest run --project unit`.
 */
const { PROPERTY_SEED, PROPERTY_RUNS } = process.env
fc.configureGlobal({
  seed: Number(PROPERTY_SEED ?? 20_260),
  ...(PROPERTY_RUNS !== undefined && { numRuns: Number(PROPERTY_RUNS) }),
})
