/**
 * Whether a day lies between two days of the year, both counted; a range may run over New Year.
 * @param from, to MM-DD
 * @param day YYYY-MM-DD
 */
export function withinYearly(day: string, from: string, to: string): boolean {
  const own = day.slice(5)
  return from <= to ? own >= from && own <= to : own >= from || own <= to
}
