/** What can tell the days of a step. */
export const STEP_WHENS = ['window', 'soil', 'dates', 'heat units', 'after', 'seed', 'cue'] as const
