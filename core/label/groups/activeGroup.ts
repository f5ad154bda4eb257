/** A turf active with its published mode-of-action group. */
export interface ActiveGroup {
  readonly name: string
  readonly group: string
  /** What the group does, in a few words. */
  readonly action: string
}

/** The actives of one group. */
export const inGroup = (group: string, action: string, ...names: readonly string[]): readonly ActiveGroup[] =>
  names.map((name) => ({ name, group, action }))
