import type { PrintedLine } from './labelLine'
import { range } from './sentences'

/** Whether the label is of something dry or of something poured. */
export type PrintedForm = 'dry' | 'liquid'

export type Fields = Partial<Omit<PrintedLine, 'from' | 'basis'>> & { readonly basis?: PrintedLine['basis'] }

/** A line while it is being read: what it says, and which tokens say it. */
export interface OpenLine {
  fields: Fields
  readonly tokens: Set<number>
}

/** Something that means nothing until what follows it is read. */
export interface Waiting<Of> {
  readonly is: Of
  readonly tokens: readonly number[]
}

/** What is carried from one part of a text to the next. */
export interface Reading {
  readonly form: PrintedForm
  readonly lines: OpenLine[]
  readonly asks: { readonly question: string; readonly tokens: readonly number[] }[]
  /** What was said of a rate before it came. */
  ahead: OpenLine
  /** The line that the sentence in hand has begun. */
  own: OpenLine | undefined
  /** What was just said to be a most. */
  cap: Waiting<'one' | 'year'> | undefined
  /** A number of applications whose year is still to come. */
  times: Waiting<number> | undefined
}

const emptyLine = (): OpenLine => ({ fields: {}, tokens: new Set() })

export const freshReading = (form: PrintedForm): Reading => ({
  form,
  lines: [],
  asks: [],
  ahead: emptyLine(),
  own: undefined,
  cap: undefined,
  times: undefined,
})

/** Puts fields on the line they belong to: the one before, or the first that comes. */
export function put(reading: Reading, fields: Fields, places: readonly number[]): void {
  const fresh = reading.lines.length === 0 || (!reading.own && reading.ahead.tokens.size > 0)
  const line = fresh ? begin(reading, {}) : reading.lines.at(-1)!
  line.fields = { ...line.fields, ...fields }
  for (const i of places) line.tokens.add(i)
}

/** Begins a line with what was said ahead of it. */
export function begin(reading: Reading, fields: Fields): OpenLine {
  const line = { fields: { ...reading.ahead.fields, ...fields }, tokens: new Set(reading.ahead.tokens) }
  reading.lines.push(line)
  reading.own = line
  reading.ahead = emptyLine()
  return line
}

/** Puts fields on their line, said by the tokens from one place to another. @returns the place after them */
export function said(reading: Reading, fields: Fields, at: number, to: number): number {
  put(reading, fields, range(at, to))
  return to
}

/** Tokens of what waits. */
export const taken = (waiting: Waiting<unknown> | undefined): readonly number[] => waiting?.tokens ?? []

/** Tokens of what nothing came to. */
export const stillWaiting = ({ cap: most, times: count }: Reading): readonly number[] => [
  ...taken(most),
  ...taken(count),
]
