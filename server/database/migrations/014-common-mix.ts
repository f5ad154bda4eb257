import { onlyEventKinds, withoutEventKinds } from './eventKinds'
import { run, type Migration } from './migration'

const BEFORE =
  `'planned', 'started', 'used', 'finished', 'corrected', 'countersigned', 'gate', 'stepped', 'measured', ` +
  `'checked', 'covered', 'set', 'paused', 'resumed', 'strip', 'mishap', 'watered', 'noted', 'photo', ` +
  `'signed', 'looked', 'timed', 'calibrates', 'spot'`

/**
 * What of a common mix was in the tank on arrival. What lists show of a record lies beside it: a list of
 * fifty reads no fifty documents.
 */
export const commonMix: Migration = {
  name: '014-common-mix',
  up: run([
    onlyEventKinds(`${BEFORE}, 'tank'`),
    `ALTER TABLE records
       ADD COLUMN deviations jsonb GENERATED ALWAYS AS (
         jsonb_path_query_array(document, '$.outcomes[*].deviation')) STORED,
       ADD COLUMN known_to text GENERATED ALWAYS AS (document->>'only') STORED`,
  ]),
  down: run([
    'ALTER TABLE records DROP COLUMN deviations, DROP COLUMN known_to',
    ...withoutEventKinds(`'tank'`),
    onlyEventKinds(BEFORE),
  ]),
}
