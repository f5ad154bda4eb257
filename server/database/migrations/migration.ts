import type { QueryInterface, Transaction } from 'sequelize'

/** One change of the schema and its way back. */
export interface Migration {
  readonly name: string
  readonly up: Step
  readonly down: Step
}

/** Takes part in the transaction that also holds its mark. */
export type Step = (query: QueryInterface, transaction: Transaction) => Promise<void>

/** Statements one after the other. */
export const run =
  (statements: readonly string[]): Step =>
  async (query, transaction) => {
    for (const statement of statements) await query.sequelize.query(statement, { transaction })
  }
