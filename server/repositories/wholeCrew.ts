import { QueryTypes } from 'sequelize'
import type { Scope } from './scope'

/** Everything that belongs to a crew; what others point at comes last, so that it can go in this order. */
const TABLES = [
  'history',
  'refusals',
  'laid_down',
  'stock_movements',
  'records',
  'run_events',
  'applications',
  'jobs',
  'attachments',
  'bench_tests',
  'calibrations',
  'products',
  'equipment',
  'probes',
  'area_programs',
  'programs',
  'calendars',
  'area_sizes',
  'areas',
  'sites',
  'weather_hours',
  'weather_days',
  'stations',
  'invitations',
  'memberships',
] as const

/** What tells the rows of a table apart where they have no id of their own. */
const ORDERS: Readonly<Partial<Record<(typeof TABLES)[number], string>>> = {
  memberships: 'person_id',
  weather_days: 'station_id, on_day',
  weather_hours: 'station_id, on_day, hour',
}
/** Rows read at a time. */
const AT_ONCE = 500

export interface WholeCrewRepository {
  /** Every row of the crew as JSON, table after table. */
  readonly rows: () => AsyncGenerator<{ readonly table: string; readonly row: unknown }>
  /**
   * Deletes the crew with everything it ever wrote down: the one thing that append-only tables let happen,
   * for the transaction that names the crew. Run it inside a transaction.
   */
  readonly remove: () => Promise<void>
}

export function wholeCrewRepository({
  database: { sequelize },
  organizationId,
  options,
}: Scope): WholeCrewRepository {
  const replacements = { organizationId }
  async function* rows() {
    const [organization] = await sequelize.query<{ row: unknown }>(
      'SELECT to_jsonb(o) AS row FROM organizations o WHERE id = :organizationId',
      { type: QueryTypes.SELECT, replacements, ...options },
    )
    yield { table: 'organizations', row: organization?.row }
    // Hashes of codes are nobody's to carry away.
    for (const table of TABLES.filter((name) => name !== 'invitations')) {
      for (let offset = 0; ; offset += AT_ONCE) {
        const found = await sequelize.query<{ row: unknown }>(
          `SELECT to_jsonb(t) AS row FROM ${table} t WHERE organization_id = :organizationId
           ORDER BY ${ORDERS[table] ?? 'id'} LIMIT ${AT_ONCE} OFFSET ${offset}`,
          { type: QueryTypes.SELECT, replacements, ...options },
        )
        for (const { row } of found) yield { table, row }
        if (found.length < AT_ONCE) break
      }
    }
  }
  return {
    rows,
    remove: async () => {
      await sequelize.query(`SELECT set_config('hectarum.deleting_crew', :organizationId, true)`, {
        replacements,
        ...options,
      })
      for (const table of TABLES)
        await sequelize.query(`DELETE FROM ${table} WHERE organization_id = :organizationId`, {
          replacements,
          ...options,
        })
      await sequelize.query('DELETE FROM organizations WHERE id = :organizationId', {
        replacements,
        ...options,
      })
    },
  }
}
