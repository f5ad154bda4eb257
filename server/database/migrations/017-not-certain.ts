import { run, type Migration } from './migration'

/** Of an outcome in a record: how far off, what ground and scale leave open, and the house's tolerance. */
const OFF = `abs((o->>'deviation')::float)`
const GIVE = `coalesce((o->>'give')::float, 0)`
const house = (name: 'good' | 'acceptable', usual: number) =>
  `coalesce((r.document->'frozen'->'tolerance'->>'${name}')::float, ${usual})`
const HAIR = 1e-9
const ORDER = `ARRAY['off', 'not certain', 'acceptable', 'good']`
const RANK = `CASE
   WHEN ${GIVE} > 0 AND greatest(0, ${OFF} - ${GIVE}) - ${HAIR} <= ${house('good', 0.05)}
     AND ${OFF} + ${GIVE} - ${HAIR} > ${house('acceptable', 0.1)} THEN 2
   WHEN ${OFF} - ${HAIR} <= ${house('good', 0.05)} THEN 4
   WHEN ${OFF} - ${HAIR} <= ${house('acceptable', 0.1)} THEN 3
   ELSE 1 END`

/** Records are filed under the one verdict that run and record show too (trade.md 9). */
export const notCertain: Migration = {
  name: '017-not-certain',
  up: run([
    `UPDATE records SET verdict = (${ORDER})[judged.rank] FROM (
       SELECT r.organization_id, r.id, min(${RANK}) AS rank
       FROM records r, jsonb_array_elements(r.document->'outcomes') o
       WHERE o->>'deviation' IS NOT NULL GROUP BY r.organization_id, r.id
     ) judged
     WHERE records.organization_id = judged.organization_id AND records.id = judged.id`,
  ]),
  down: run([`UPDATE records SET verdict = 'acceptable' WHERE verdict = 'not certain'`]),
}
