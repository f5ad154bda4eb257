/** From here on a run holds events of these kinds only. @param kinds as SQL lists them */
export const onlyEventKinds = (kinds: string): string =>
  'ALTER TABLE run_events DROP CONSTRAINT run_events_kind_check, ADD CONSTRAINT run_events_kind_check ' +
  `CHECK (kind IN (${kinds}))`

/**
 * The way back: events are never deleted but where an earlier version would not know them.
 * @param kinds as SQL lists them
 */
export const withoutEventKinds = (kinds: string): readonly string[] => [
  'ALTER TABLE run_events DISABLE TRIGGER run_events_append_only',
  `DELETE FROM run_events WHERE kind IN (${kinds})`,
  'ALTER TABLE run_events ENABLE TRIGGER run_events_append_only',
]
