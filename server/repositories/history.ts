import { QueryTypes } from 'sequelize'
import type { HistoryLine } from '#shared/schemas/people'
import type { Scope } from './scope'

/** What is typed saves itself again and again: one line covers so much time of one person, min. */
const ONE_LINE_MINUTES = 10
const MOST_LINES = 100

export interface HistoryRepository {
  readonly of: (rowId: string) => Promise<readonly HistoryLine[]>
}

export function historyRepository({
  database: { sequelize },
  organizationId,
  options,
}: Scope): HistoryRepository {
  return {
    of: async (rowId) => {
      const rows = await sequelize.query<{ what: HistoryLine['what']; person: string; at: Date }>(
        `SELECT what, person, at FROM history WHERE organization_id = :organizationId AND row_id = :rowId
         ORDER BY id DESC LIMIT ${MOST_LINES}`,
        { type: QueryTypes.SELECT, replacements: { organizationId, rowId }, ...options },
      )
      return rows.map(({ what, person, at }) => ({ what, person, at: at.toISOString() }))
    },
  }
}

/** Adds a line to the history of a row, in the transaction of the change itself. */
export async function noteHistory(
  { database: { sequelize }, organizationId, options, actor }: Scope,
  kind: string,
  rowId: string,
  what: HistoryLine['what'],
): Promise<void> {
  await sequelize.query(
    `INSERT INTO history (organization_id, kind, row_id, what, person_id, person)
     SELECT :organizationId, :kind, :rowId, :what, :personId, :person
     WHERE NOT (:what = 'changed' AND EXISTS (
       SELECT 1 FROM (SELECT what, person, at FROM history WHERE organization_id = :organizationId
         AND row_id = :rowId ORDER BY id DESC LIMIT 1) newest
       WHERE newest.what IN ('made', 'changed') AND newest.person = :person
         AND newest.at > now() - interval '${ONE_LINE_MINUTES} minutes'))`,
    {
      replacements: {
        organizationId,
        kind,
        rowId,
        what,
        personId: actor?.id ?? null,
        person: actor?.name ?? '',
      },
      ...options,
    },
  )
}
