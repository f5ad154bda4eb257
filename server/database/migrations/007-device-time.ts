import { run, type Migration } from './migration'

/** Both times of an event are kept: the server's, which counts, and the device's as it was sent. */
export const deviceTime: Migration = {
  name: '007-device-time',
  up: run(['ALTER TABLE run_events ADD COLUMN device_at timestamptz']),
  down: run(['ALTER TABLE run_events DROP COLUMN device_at']),
}
