/**
 * The hour of the day of an instant by the clock of a place, with its minutes as a share.
 * @param timeZone IANA name
 * @example placeHour(new Date('2026-05-06T13:30:00Z'), 'America/New_York') // 9.5
 */
export function placeHour(instant: Date, timeZone: string): number {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  }).formatToParts(instant)
  const of = (type: 'hour' | 'minute') => Number(parts.find((part) => part.type === type)?.value ?? 0)
  return of('hour') + of('minute') / 60
}
