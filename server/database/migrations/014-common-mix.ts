import { onlyEventKinds, withoutEventKinds } from './eventKinds'
import { run, type Migration } from './migration'

const BEFORE =
  `'planned', 'started', 'used', 'finished', 'corrected', 'countersigned', 'gate', 'stepped', 'measured', ` +
  `'checked', 'covered', 'set', 'paused', 'resumed', 'strip', 'mishap', 'watered', 'noted', 'photo', ` +
  `'signed', 'looked', 'timed', 'calibrates', 'spot'`

/** A day counted to its end: who cleaned out on it had cleaned out what was in the machine that day. */
const END_OF_DAY =
  `((e.document->>'cleaned')::date + 1)::timestamp AT TIME ZONE o.time_zone AT TIME ZONE 'UTC' ` +
  `- interval '1 second'`

/**
 * What of a common mix was in the tank on arrival. What lists show of a record lies beside it: a list of
 * fifty reads no fifty documents. A clean-out has its hour; before it had its day alone.
 */
export const commonMix: Migration = {
  name: '014-common-mix',
  up: run([
    onlyEventKinds(`${BEFORE}, 'tank'`),
    `ALTER TABLE records
       ADD COLUMN deviations jsonb GENERATED ALWAYS AS (
         jsonb_path_query_array(document, '$.outcomes[*].deviation')) STORED,
       ADD COLUMN known_to text GENERATED ALWAYS AS (document->>'only') STORED`,
    `UPDATE equipment e SET document = jsonb_set(e.document, '{cleaned}',
       to_jsonb(to_char(${END_OF_DAY}, 'YYYY-MM-DD"T"HH24:MI:SS"Z"')))
     FROM organizations o WHERE o.id = e.organization_id
       AND e.document->>'cleaned' ~ '^\\d{4}-\\d\\d-\\d\\d$'`,
  ]),
  down: run([
    `UPDATE equipment
     SET document = jsonb_set(document, '{cleaned}', to_jsonb(left(document->>'cleaned', 10)))
     WHERE document->>'cleaned' <> ''`,
    'ALTER TABLE records DROP COLUMN deviations, DROP COLUMN known_to',
    ...withoutEventKinds(`'tank'`),
    onlyEventKinds(BEFORE),
  ]),
}
