import type { ActiveGroup } from './groups/activeGroup'
import { FUNGICIDE_GROUPS } from './groups/fungicides'
import { HERBICIDE_GROUPS } from './groups/herbicides'
import { INSECTICIDE_GROUPS } from './groups/insecticides'

/**
 * The committees that publish the groups. The rows were written down without the lists at hand: they say so
 * until somebody has compared them, and a label's own print goes before them.
 */
export const GROUP_SOURCES = {
  fungicide: 'after the FRAC code list 2024, not yet compared row by row',
  insecticide: 'after the IRAC classification 2024, not yet compared row by row',
  herbicide: 'after the HRAC classification 2024, not yet compared row by row',
} as const
export type GroupSource = keyof typeof GROUP_SOURCES

export interface FoundGroup extends ActiveGroup {
  readonly source: (typeof GROUP_SOURCES)[GroupSource]
}

const listed = (rows: readonly ActiveGroup[], from: GroupSource): readonly FoundGroup[] =>
  rows.map((row) => ({ ...row, source: GROUP_SOURCES[from] }))

/** Every active of the shipped table, by name. */
export const ACTIVE_GROUPS: readonly FoundGroup[] = [
  ...listed(FUNGICIDE_GROUPS, 'fungicide'),
  ...listed(INSECTICIDE_GROUPS, 'insecticide'),
  ...listed(HERBICIDE_GROUPS, 'herbicide'),
].toSorted((a, b) => a.name.localeCompare(b.name))

const byName = new Map(ACTIVE_GROUPS.map((row) => [row.name.toLowerCase(), row]))

/**
 * The published group of an active, however its capitals are written; undefined where the table does not know
 * it.
 */
export const groupOf = (active: string): FoundGroup | undefined => byName.get(active.trim().toLowerCase())
