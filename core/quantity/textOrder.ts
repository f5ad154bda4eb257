/** Text by its characters, the same on every machine: for ids, days and instants; -1, 0 or 1. */
export const textOrder = (one: string, other: string): number => (one < other ? -1 : one > other ? 1 : 0)
