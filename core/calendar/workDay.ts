/**
 * The day a job is worked out for: the day it is planned for, or today once that has passed or none is set.
 * Both YYYY-MM-DD.
 */
export const workDay = (plannedFor: string, today: string): string =>
  plannedFor > today ? plannedFor : today
