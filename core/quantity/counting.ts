/** One of a thing, or more. @example plural(2, 'pass', 'passes') // 'passes' */
export const plural = (count: number, one: string, many = `${one}s`): string => (count === 1 ? one : many)

/** A count with its thing. @example counted(3, 'load') // '3 loads' */
export const counted = (count: number, one: string, many?: string): string =>
  `${count} ${plural(count, one, many)}`

/** The sum of a figure over a list. */
export const sumOf = <T>(list: readonly T[], figure: (one: T, index: number) => number): number =>
  list.reduce((sum, one, index) => sum + figure(one, index), 0)

/** The mean of figures; NaN of none. */
export const meanOf = (values: readonly number[]): number => sumOf(values, (value) => value) / values.length
