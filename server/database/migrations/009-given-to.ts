import { run, type Migration } from './migration'

/** Who of the crew a job is given to, by name; nobody yet where it is blank. */
export const givenTo: Migration = {
  name: '009-given-to',
  up: run([`ALTER TABLE jobs ADD COLUMN given_to text NOT NULL DEFAULT ''`]),
  down: run(['ALTER TABLE jobs DROP COLUMN given_to']),
}
