import { onlyEventKinds, withoutEventKinds } from './eventKinds'
import { run, type Migration } from './migration'

const BEFORE =
  `'planned', 'started', 'used', 'finished', 'corrected', 'countersigned', 'gate', 'stepped', 'measured', ` +
  `'checked', 'covered', 'set', 'paused', 'resumed', 'strip', 'mishap', 'watered', 'noted', 'photo', ` +
  `'signed', 'looked', 'timed', 'calibrates', 'spot', 'tank'`

/** Ground behind that lacked some: a light pass over it, or left. */
export const lightPass: Migration = {
  name: '016-light-pass',
  up: run([onlyEventKinds(`${BEFORE}, 'light'`)]),
  down: run([...withoutEventKinds(`'light'`), onlyEventKinds(BEFORE)]),
}
