import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'

export type { Transaction }

/** Whose name stands on what is changed. */
export interface Actor {
  readonly id: string
  readonly name: string
}

/**
 * What every repository works in: one database, one organization, and the transaction in hand if there is
 * one.
 */
export interface Scope {
  readonly database: Database
  readonly organizationId: string
  readonly options: { readonly transaction: Transaction | null }
  /** Who asks; undefined where nobody signs in. */
  readonly actor?: Actor | undefined
}

/** A place in a sorted list, after which the next page begins: the value sorted by, and the id. */
export interface Cursor {
  readonly at: string
  readonly id: string
}

/** A page asked for: one row more than shown tells whether there is a next one. */
export interface PageWanted {
  readonly limit: number
  readonly after: Cursor | undefined
}

/** Words as a search of prefixes: every word must begin one in the row. Undefined where nothing is asked. */
export function prefixSearch(words: string): string | undefined {
  const found = words.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []
  return found.length === 0
    ? undefined
    : found
        .slice(0, 8)
        .map((word) => `${word}:*`)
        .join(' & ')
}
