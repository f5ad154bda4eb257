import { err, ok, type Result } from '../result'

const MONTHS = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
]

/** Why a typed day was not taken, and what would be right. */
export interface DayProblem {
  readonly kind: 'notADay' | 'ambiguous' | 'noSuchDay'
  readonly message: string
}

/**
 * Reads a calendar day as people write it without doubt: `6 May 2026`, `6 may` (in the year given), `May 6
 * 2026`, `2026-05-06`. Figures only, with slashes or dots, could be read two ways and are refused.
 * @param year the year of a day typed without one; @param like how a day is written, for who wrote it badly
 * @returns YYYY-MM-DD; errors `notADay`, `ambiguous`, `noSuchDay`
 */
export function parseDay(typed: string, year: number, like = `6 May ${year}`): Result<string, DayProblem> {
  const text = typed.trim().toLowerCase().replaceAll(',', ' ').replaceAll(/\s+/g, ' ')
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text)
  if (iso) return realDay(Number(iso[1]), Number(iso[2]), Number(iso[3]), typed)
  if (/^\d{1,4}[/.-]\d{1,2}[/.-]\d{1,4}$/.test(text)) {
    return err({
      kind: 'ambiguous',
      message: `“${typed.trim()}” could be two days: write it as ${like}.`,
    })
  }
  const words =
    /^(\d{1,2})\.? ([a-z]{3,9})\.?(?: (\d{4}))?$/.exec(text) ??
    swapped(/^([a-z]{3,9})\.? (\d{1,2})(?: (\d{4}))?$/.exec(text))
  const month = words ? MONTHS.findIndex((name) => name.startsWith(words[2] ?? '?')) : -1
  if (!words || month < 0)
    return err({ kind: 'notADay', message: `“${typed.trim()}” is not a day: write it as ${like}.` })
  return realDay(Number(words[3] ?? year), month + 1, Number(words[1]), typed)
}

const swapped = (match: RegExpExecArray | null) => (match ? [match[0], match[2], match[1], match[3]] : null)

function realDay(year: number, month: number, day: number, typed: string): Result<string, DayProblem> {
  const date = new Date(Date.UTC(year, month - 1, day))
  if (date.getUTCMonth() !== month - 1 || date.getUTCDate() !== day || year < 1900 || year > 2200) {
    return err({ kind: 'noSuchDay', message: `There is no ${typed.trim()}: check the day and the month.` })
  }
  return ok(date.toISOString().slice(0, 10))
}
