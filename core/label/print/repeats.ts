import { afterAny, past, spanAt, type Read, type Tokens } from './phrases'
import { DAYS_IN } from './units'

const REPEAT_WORDS: readonly string[] = [
  'minimum re - treatment|application interval is|:|of',
  'minimum retreatment|reapplication interval is|:|of',
  'retreatment|reapplication interval is|:|of',
  're - treatment interval is|:|of',
  'minimum interval is|:|of',
  'minimum interval between applications|treatments is|:|of',
  'do not reapply|repeat within|for',
  'a second application may|can|should be made',
  'may|can|should be repeated',
  'application|spray|treatment interval is|:|of',
  'interval|intervals is|:|of',
  'treat again',
  'do not re - apply within',
  'allow at least',
  'allow a minimum of',
  'wait at least',
  'repeat applications|application|treatment|treatments',
  'repeat|reapply|retreat|again',
  're - apply|treat',
  'no|not more often|frequently than every|each|once',
  'no|not more than once every|each|in',
  'every|each',
  'at|on a|an',
  'at|on',
]
const REPEAT_LINKS: readonly string[] = [
  'as|if needed',
  'if necessary',
  'at intervals of',
  'at|on a|an',
  'in|after|every|at|on|within',
  'at least',
  'a minimum of',
  'interval|intervals of|is|:',
]
const REPEAT_TAILS: readonly string[] = [
  '- schedule|program',
  'schedule|program',
  '- interval|intervals',
  'interval|intervals',
  'between applications|treatments',
  'between',
  'apart',
  'later',
]
const YEAR_DAYS = 360
/** "Biweekly" may be twice a week or every two: it is not read. */
const BY_NAME: Readonly<Record<string, number>> = { monthly: 30, weekly: 7 }

/**
 * Days between applications. A bare "14 days" is none: something must say that it is repeated or how far
 * apart; mowing, seeding and entry have waits of their own.
 */
export function repeatAt(
  tokens: Tokens,
  at: number,
): Read<{ readonly from: number; readonly to?: number }> | undefined {
  const begun = past(tokens, at, [
    'applied|apply|repeat|reapply',
    'a minimum of',
    'minimum of',
    'at least',
    'no|not less than',
    'no|not closer|sooner than',
    'no|not more often|frequently than',
  ])
  const once = afterAny(tokens, begun, ['once a|per|every|each|/'])
  const often = once === undefined ? undefined : DAYS_IN[tokens[once]?.text ?? '']
  // "Once a year" is a count.
  if (once !== undefined && often !== undefined && often < YEAR_DAYS)
    return { is: { from: often }, to: once + 1 }
  const name = BY_NAME[tokens[begun]?.text ?? '']
  if (name !== undefined) return { is: { from: name }, to: begun + 1 }
  const other = afterAny(tokens, begun, ['every other'])
  const otherDays = other === undefined ? undefined : DAYS_IN[tokens[other]?.text ?? '']
  if (other !== undefined && otherDays !== undefined) return { is: { from: 2 * otherDays }, to: other + 1 }
  const word = afterAny(tokens, at, REPEAT_WORDS)
  let place = word ?? begun
  for (
    let link = afterAny(tokens, place, REPEAT_LINKS);
    link !== undefined;
    link = afterAny(tokens, place, REPEAT_LINKS)
  )
    place = link
  const span = spanAt(tokens, place)
  const unit = span && past(tokens, span.to, ['-'])
  const days = unit === undefined ? undefined : DAYS_IN[tokens[unit]?.text ?? '']
  if (!span || unit === undefined || days === undefined) return undefined
  const tail = afterAny(tokens, unit + 1, REPEAT_TAILS)
  const said = word !== undefined && !['at', 'on'].includes(tokens[at]?.text ?? '')
  if (!said && tail === undefined) return undefined
  const end = past(
    tokens,
    tail ?? unit + 1,
    said ? ['after the|a first|initial|previous|last application|treatment'] : [],
  )
  // "Wait 2 days before mowing" and "repeat" are told apart by what follows.
  if (afterAny(tokens, end, ['before|prior']) !== undefined) return undefined
  return {
    is: { from: span.is.from * days, ...(span.is.to !== undefined && { to: span.is.to * days }) },
    to: end,
  }
}
