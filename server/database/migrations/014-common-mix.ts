import { run, type Migration } from './migration'

const BEFORE =
  `'planned', 'started', 'used', 'finished', 'corrected', 'countersigned', 'gate', 'stepped', 'measured', ` +
  `'checked', 'covered', 'set', 'paused', 'resumed', 'strip', 'mishap', 'watered', 'noted', 'photo', ` +
  `'signed', 'looked', 'timed', 'calibrates', 'spot'`
const onlyKinds = (kinds: string) =>
  'ALTER TABLE run_events DROP CONSTRAINT run_events_kind_check, ADD CONSTRAINT run_events_kind_check ' +
  `CHECK (kind IN (${kinds}))`

/**
 * What of a common mix was in the tank on arrival. What lists show of a record lies beside it: a list of
 * fifty reads no fifty documents.
 */
export const commonMix: Migration = {
  name: '014-common-mix',
  up: run([
    onlyKinds(`${BEFORE}, 'tank'`),
    `ALTER TABLE records
       ADD COLUMN deviations jsonb GENERATED ALWAYS AS (
         jsonb_path_query_array(document, '$.outcomes[*].deviation')) STORED,
       ADD COLUMN known_to text GENERATED ALWAYS AS (document->>'only') STORED`,
  ]),
  down: run([
    'ALTER TABLE records DROP COLUMN deviations, DROP COLUMN known_to',
    'ALTER TABLE run_events DISABLE TRIGGER run_events_append_only',
    `DELETE FROM run_events WHERE kind = 'tank'`,
    'ALTER TABLE run_events ENABLE TRIGGER run_events_append_only',
    onlyKinds(BEFORE),
  ]),
}
