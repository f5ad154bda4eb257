import { err, ok, type Result } from '../result'

/** Why a typed number was not taken; the edge shows `message`, which says what would be right. */
export interface TypedProblem {
  readonly kind:
    'empty' | 'notANumber' | 'ambiguousComma' | 'unknownUnit' | 'ambiguousOunces' | 'wrongKind' | 'mixedUnits'
  readonly message: string
}

const VULGAR: Readonly<Record<string, string>> = {
  '½': ' 1/2',
  '¼': ' 1/4',
  '¾': ' 3/4',
  '⅓': ' 1/3',
  '⅔': ' 2/3',
  '⅛': ' 1/8',
  '⅜': ' 3/8',
  '⅝': ' 5/8',
  '⅞': ' 7/8',
}

/**
 * A number at the head of a text: grouping commas, decimals, fractions and mixed numbers. The sign is part of
 * it.
 */
const MIXED_PATTERN = String.raw`\d[\d,]*(?:\s+|-)\d+\s*/\s*\d+|\d+\s*/\s*\d+`
/** A blank parts thousands where whole groups of three follow. */
const BLANKED_PATTERN = String.raw`\d{1,3}(?:[ \u00a0\u202f]\d{3})+(?![\d,.])`
export const NUMBER_PATTERN = String.raw`[-−+]?(?:${BLANKED_PATTERN}|${MIXED_PATTERN}|\d[\d,]*\.?\d*|\.\d+)`

const BLANKED = new RegExp(`^[-+]?${BLANKED_PATTERN}$`)

/** Writes vulgar fractions out, so that 1½ reads like 1 1/2. */
export const spellFractions = (text: string): string =>
  text.replace(/[½¼¾⅓⅔⅛⅜⅝⅞]/g, (sign) => VULGAR[sign] ?? sign)

/**
 * Reads what people type for a number. A comma groups thousands and nothing else.
 * @returns errors `empty`, `notANumber`, `ambiguousComma` (`2,5` may be 2.5 or 25)
 * @example parseNumber('1 1/2') // 1.5; parseNumber('1,250.4') // 1250.4; parseNumber('2,5') // refused
 */
export function parseNumber(typed: string): Result<number, TypedProblem> {
  const spelled = spellFractions(typed).trim().replace('−', '-')
  const text = BLANKED.test(spelled) ? spelled.replaceAll(/\s/g, '') : spelled
  if (text === '') return err({ kind: 'empty', message: 'Type a figure, such as 34.5.' })
  const mixed = /^([-+]?)(?:(\d[\d,]*)(?:\s+|-))?(\d+)\s*\/\s*(\d+)$/.exec(text)
  if (mixed) return fraction(mixed[1] ?? '', mixed[2], mixed[3] ?? '', mixed[4] ?? '', typed)
  if (text.includes(',')) return grouped(text, typed)
  if (!/^[-+]?(?:\d+\.?\d*|\.\d+)$/.test(text))
    return err({
      kind: 'notANumber',
      message: `“${typed.trim()}” is not a figure: type a number such as 34.5 or 1 1/2.`,
    })
  return finite(Number(text), typed)
}

function fraction(
  sign: string,
  whole: string | undefined,
  top: string,
  bottom: string,
  typed: string,
): Result<number, TypedProblem> {
  const wholeNumber = whole === undefined ? ok(0) : parseNumber(whole)
  if (!wholeNumber.ok) return wholeNumber
  // Written in a hurry, 11/2 is one and a half.
  if (whole === undefined && top.length > 1 && Number(top) > Number(bottom))
    return err({
      kind: 'notANumber',
      message:
        `“${typed.trim()}” could be ${top.slice(0, -1)} ${top.slice(-1)}/${bottom} or ${top} over ` +
        `${bottom}: write it with a blank, or as a decimal.`,
    })
  if (Number(bottom) === 0)
    return err({ kind: 'notANumber', message: `“${typed.trim()}” divides by nothing: check the fraction.` })
  const size = wholeNumber.value + Number(top) / Number(bottom)
  return finite(sign === '-' ? -size : size, typed)
}

function grouped(text: string, typed: string): Result<number, TypedProblem> {
  if (/^[-+]?[1-9]\d{0,2}(?:,\d{3})+(?:\.\d*)?$/.test(text))
    return finite(Number(text.replaceAll(',', '')), typed)
  return err({
    kind: 'ambiguousComma',
    message:
      `“${typed.trim()}” could be read two ways: a comma only groups thousands here. Write ` +
      `${text.replace(',', '.')} or ${text.replaceAll(',', '')}.`,
  })
}

function finite(value: number, typed: string): Result<number, TypedProblem> {
  return Number.isFinite(value)
    ? ok(value)
    : err({ kind: 'notANumber', message: `“${typed.trim().slice(0, 40)}” is too large to be a figure here.` })
}
