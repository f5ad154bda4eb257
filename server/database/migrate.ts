import { Sequelize, type QueryInterface } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import pg from 'pg'
import { MIGRATIONS } from './migrations/all'
import type { Migration } from './migrations/migration'

/** One number for all our nodes: who holds it migrates, the others wait. */
const MIGRATION_LOCK = 4_356_000_001

/** The database was written by a newer version of the application; it must not be touched. */
export class NewerDatabaseError extends Error {
  readonly names: readonly string[]
  constructor(names: readonly string[]) {
    super(
      `The database holds migrations this version does not know (${names.join(', ')}): start the newer ` +
        'version, or restore a backup.',
    )
    this.names = names
  }
}

const MARKS = 'migrations'
const storageOf = (sequelize: Sequelize) => new SequelizeStorage({ sequelize, tableName: MARKS })

/**
 * A migrator over one connection; `down` exists for tests and for going back by hand. Each step and its mark
 * are one transaction: killed anywhere, the next start finds all of it or nothing.
 */
export function migratorOf(
  sequelize: Sequelize,
  migrations: readonly Migration[] = MIGRATIONS,
): Umzug<QueryInterface> {
  const marks = storageOf(sequelize)
  const whole =
    (step: Migration['up'], mark: string, name: string) =>
    ({ context }: { context: QueryInterface }) =>
      sequelize.transaction(async (transaction) => {
        await step(context, transaction)
        await sequelize.query(mark, { replacements: { name }, transaction })
      })
  return new Umzug({
    migrations: migrations.map(({ name, up, down }) => ({
      name,
      up: whole(up, `INSERT INTO ${MARKS} (name) VALUES (:name)`, name),
      down: whole(down, `DELETE FROM ${MARKS} WHERE name = :name`, name),
    })),
    context: sequelize.getQueryInterface(),
    // The mark is written with the step; what the migrator would write afterwards could be too late.
    storage: {
      executed: () => marks.executed(),
      logMigration: () => Promise.resolve(),
      unlogMigration: () => Promise.resolve(),
    },
    logger: undefined,
  })
}

/** Brings the schema up to date under an advisory lock held on a connection of its own. */
export async function migrate(url: string): Promise<void> {
  const lock = new pg.Client({ connectionString: url })
  await lock.connect()
  const sequelize = new Sequelize(url, {
    dialect: 'postgres',
    dialectModule: pg,
    logging: false,
    pool: { max: 1 },
  })
  try {
    await lock.query('SELECT pg_advisory_lock($1)', [MIGRATION_LOCK])
    const known = new Set(MIGRATIONS.map(({ name }) => name))
    const unknown = (await storageOf(sequelize).executed()).filter((name) => !known.has(name))
    if (unknown.length > 0) throw new NewerDatabaseError(unknown)
    await migratorOf(sequelize).up()
  } finally {
    await lock.end().catch(() => undefined)
    await sequelize.close()
  }
}
