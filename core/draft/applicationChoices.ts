export const HEADER_CHOICES = ['', '0', '1', '2', '3'] as const
export const AIM_CHOICES = ['', 'fewest turns', 'longest runs', 'contour'] as const
export const FATES = ['', 'soil', 'leaf'] as const
export const TREATED = ['yes', 'no', 'check'] as const
export type Treated = (typeof TREATED)[number]

/**
 * A label's amount over two dates: one total shared, or the listed rate each time; nobody guesses which. The
 * second date is another job.
 */
export const SPLITS = ['', 'share', 'repeat', 'share-second', 'repeat-second'] as const
export type Split = (typeof SPLITS)[number]

/** The second date of what was begun; nothing for what was no first date. */
export const secondOf = (split: Split | undefined): Split =>
  split === 'share' || split === 'repeat' ? `${split}-second` : ''
