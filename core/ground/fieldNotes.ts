/** How an outline came onto the plan. */
export const OUTLINE_SOURCES = ['drawn', 'walked', 'traced', 'imported'] as const

/** The shapes that count on a day: an exclusion whose last day has passed is lawn again. */
export const lapsed = (
  { sign, until }: { readonly sign: 'add' | 'subtract'; readonly until?: string | undefined },
  day: string,
): boolean => sign === 'subtract' && until !== undefined && until !== '' && until < day
