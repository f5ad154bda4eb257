import { run, type Migration } from './migration'

const INSTANT = `'YYYY-MM-DD"T"HH24:MI:SS"Z"'`

/** Rewrites when each machine was cleaned out, by its organization's clock. */
const rewritten = (cleaned: string, where: string): string =>
  `UPDATE equipment e SET document = jsonb_set(e.document, '{cleaned}', to_jsonb(${cleaned}))
   FROM organizations o WHERE o.id = e.organization_id AND e.document->>'cleaned' ${where}`

/**
 * A clean-out has its hour; before it had its day alone. That day is counted to its end: who cleaned out on
 * it had cleaned out what was in the machine that day.
 */
export const cleanOutHour: Migration = {
  name: '015-clean-out-hour',
  up: run([
    rewritten(
      `to_char(((e.document->>'cleaned')::date + 1)::timestamp AT TIME ZONE o.time_zone AT TIME ZONE 'UTC' ` +
        `- interval '1 second', ${INSTANT})`,
      `~ '^\\d{4}-\\d\\d-\\d\\d$'`,
    ),
  ]),
  down: run([
    rewritten(
      `to_char((e.document->>'cleaned')::timestamptz AT TIME ZONE o.time_zone, 'YYYY-MM-DD')`,
      `~ '^\\d{4}-\\d\\d-\\d\\dT'`,
    ),
  ]),
}
