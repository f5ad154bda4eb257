import type { QueryInterface } from 'sequelize'

/** One change of the schema and its way back. */
export interface Migration {
  readonly name: string
  readonly up: (query: QueryInterface) => Promise<void>
  readonly down: (query: QueryInterface) => Promise<void>
}

/** Statements one after the other. */
export const run = (query: QueryInterface, statements: readonly string[]) =>
  statements
    .reduce<Promise<unknown>>(
      (before, statement) => before.then(() => query.sequelize.query(statement)),
      Promise.resolve(),
    )
    .then(() => undefined)
