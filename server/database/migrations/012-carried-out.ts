import { run, type Migration } from './migration'

const BEFORE = `'planned', 'started', 'used', 'finished', 'corrected', 'countersigned'`
const CARRIED =
  `'gate', 'stepped', 'measured', 'checked', 'covered', 'set', 'paused', 'resumed', 'strip', 'mishap', ` +
  `'watered', 'noted', 'photo', 'signed', 'looked'`
const only = (kinds: string) =>
  'ALTER TABLE run_events DROP CONSTRAINT run_events_kind_check, ADD CONSTRAINT run_events_kind_check ' +
  `CHECK (kind IN (${kinds}))`

/** What is written down while a run is carried out, and what is seen of it afterwards. */
export const carriedOut: Migration = {
  name: '012-carried-out',
  up: run([only(`${BEFORE}, ${CARRIED}`)]),
  down: run([
    'ALTER TABLE run_events DISABLE TRIGGER run_events_append_only',
    `DELETE FROM run_events WHERE kind IN (${CARRIED})`,
    'ALTER TABLE run_events ENABLE TRIGGER run_events_append_only',
    only(BEFORE),
  ]),
}
