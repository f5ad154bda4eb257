/** Routes that only compute and describe: open to any program, no organization, no database. */
export const COMPUTING_ROUTES: ReadonlySet<string> = new Set([
  '/api/plan',
  '/api/measure',
  '/api/calibrate',
  '/api/pattern',
  '/api/curve',
  '/api/nozzles',
  '/api/read-label',
  '/api/season',
  '/api/lanes',
  '/api/coverage',
  '/api/health',
  '/api/openapi.json',
])
