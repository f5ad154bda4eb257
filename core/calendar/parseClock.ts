import { err, ok, type Result } from '../result'

/**
 * Reads a time of day as people write it: `14:30`, `2:30 pm`, `2 pm`, `14.30`. A bare figure is refused: it
 * could be either half of the day.
 * @returns HH:MM; else a sentence that says what would be right
 * @example parseClock('2:05 pm') // '14:05'
 */
export function parseClock(typed: string): Result<string, string> {
  const text = typed.trim().toLowerCase().replaceAll('.', ':')
  const read = /^(\d{1,2})(?::(\d{2}))?(?::\d{2})?\s*([ap]):?m?:?$|^(\d{1,2}):(\d{2})(?::\d{2})?$/.exec(text)
  if (!read) return err(`“${typed.trim()}” is not a time: write it as 14:30 or 2:30 pm.`)
  const [, half, halfMinutes = '00', part, whole, wholeMinutes = '00'] = read
  const minutes = Number(part ? halfMinutes : wholeMinutes)
  const hours = part ? (Number(half) % 12) + (part === 'p' ? 12 : 0) : Number(whole)
  if (minutes > 59 || hours > 23 || (part !== undefined && (Number(half) > 12 || half === '0')))
    return err(`There is no ${typed.trim()} on a clock: write the time as 14:30 or 2:30 pm.`)
  return ok(`${String(hours).padStart(2, '0')}:${String(minutes).padStart(2, '0')}`)
}
