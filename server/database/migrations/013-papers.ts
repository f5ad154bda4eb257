import { onlyEventKinds, withoutEventKinds } from './eventKinds'
import { run, type Migration } from './migration'

const BEFORE =
  `'planned', 'started', 'used', 'finished', 'corrected', 'countersigned', 'gate', 'stepped', 'measured', ` +
  `'checked', 'covered', 'set', 'paused', 'resumed', 'strip', 'mishap', 'watered', 'noted', 'photo', ` +
  `'signed', 'looked'`
const onlyTypes = (types: string) =>
  'ALTER TABLE attachments DROP CONSTRAINT attachments_media_type_check, ADD CONSTRAINT ' +
  `attachments_media_type_check CHECK (media_type IN (${types}))`

const MACHINE = `(SELECT (a.document #>> ARRAY[a.document->>'method', 'source', 'id'])::uuid
  FROM applications a
  WHERE a.organization_id = records.organization_id AND a.id = records.id)`

/**
 * When work was really done, entered afterwards; labels and safety sheets, which have no size in pixels; the
 * machine of each record, which tells what it last held.
 */
export const papers: Migration = {
  name: '013-papers',
  up: run([
    onlyEventKinds(`${BEFORE}, 'timed', 'calibrates', 'spot'`),
    onlyTypes(`'image/png', 'image/jpeg', 'application/pdf'`),
    'ALTER TABLE attachments ALTER COLUMN width DROP NOT NULL, ALTER COLUMN height DROP NOT NULL',
    'ALTER TABLE records ADD COLUMN equipment_id uuid',
    `UPDATE records SET equipment_id = ${MACHINE}`,
    'CREATE INDEX records_of_equipment ON records (organization_id, equipment_id, finished_at DESC)',
  ]),
  down: run([
    'ALTER TABLE records DROP COLUMN equipment_id',
    ...withoutEventKinds(`'timed', 'calibrates', 'spot'`),
    onlyEventKinds(BEFORE),
    `DELETE FROM attachments WHERE media_type = 'application/pdf'`,
    'ALTER TABLE attachments ALTER COLUMN width SET NOT NULL, ALTER COLUMN height SET NOT NULL',
    onlyTypes(`'image/png', 'image/jpeg'`),
  ]),
}
