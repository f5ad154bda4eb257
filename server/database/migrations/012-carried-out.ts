import { onlyEventKinds, withoutEventKinds } from './eventKinds'
import { run, type Migration } from './migration'

const BEFORE = `'planned', 'started', 'used', 'finished', 'corrected', 'countersigned'`
const CARRIED =
  `'gate', 'stepped', 'measured', 'checked', 'covered', 'set', 'paused', 'resumed', 'strip', 'mishap', ` +
  `'watered', 'noted', 'photo', 'signed', 'looked'`

/** What is written down while a run is carried out, and what is seen of it afterwards. */
export const carriedOut: Migration = {
  name: '012-carried-out',
  up: run([onlyEventKinds(`${BEFORE}, ${CARRIED}`)]),
  down: run([...withoutEventKinds(CARRIED), onlyEventKinds(BEFORE)]),
}
