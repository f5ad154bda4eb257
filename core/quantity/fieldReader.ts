import { readNotNegative, readPositive, readSigned, type Entered, type EnteredProblem } from './entered'
import type { Kind, KindUnits } from './parseQuantity'
import type { Quantity } from './quantity'

/** What is wrong with, or missing from, one field of a document; the path is the field's, dotted. */
export interface FieldProblem {
  readonly path: string
  readonly kind: 'missing' | 'wrong'
  readonly message: string
}

/** Reads fields of a document and gathers their problems, so that one bad field does not hide the next. */
export interface FieldReader {
  readonly problems: FieldProblem[]
  positive: <K extends Kind>(
    path: string,
    entered: Entered<KindUnits[K]> | undefined,
    kind: K,
    what: string,
  ) => Quantity<KindUnits[K]> | undefined
  /** As positive, but nought may be typed. */
  notNegative: <K extends Kind>(
    path: string,
    entered: Entered<KindUnits[K]> | undefined,
    kind: K,
    what: string,
  ) => Quantity<KindUnits[K]> | undefined
  /** Blank is fine and reads as undefined; `sign` says whether nought, or less, may be typed. */
  optional: <K extends Kind>(
    path: string,
    entered: Entered<KindUnits[K]>,
    kind: K,
    what: string,
    sign: keyof typeof READERS,
  ) => Quantity<KindUnits[K]> | undefined
  wrong: (path: string, message: string) => void
  missing: (path: string, message: string) => void
}

const READERS = { 'zero-too': readNotNegative, 'above-zero': readPositive, 'any-sign': readSigned } as const

export function fieldReader(): FieldReader {
  const problems: FieldProblem[] = []
  const complain = (path: string, { kind, message }: EnteredProblem) => {
    problems.push({ path, kind: kind === 'missing' ? 'missing' : 'wrong', message })
    return undefined
  }
  const needed = <K extends Kind>(
    path: string,
    entered: Entered<KindUnits[K]> | undefined,
    kind: K,
    what: string,
    reader: typeof readPositive,
  ) => {
    if (!entered) return complain(path, { kind: 'missing', message: `${what} is still missing.` })
    const read = reader(entered, kind, what)
    return read.ok ? read.value : complain(path, read.error)
  }
  return {
    problems,
    positive: (path, entered, kind, what) => needed(path, entered, kind, what, readPositive),
    notNegative: (path, entered, kind, what) => needed(path, entered, kind, what, readNotNegative),
    optional: (path, entered, kind, what, sign) => {
      if (entered.text.trim() === '') return undefined
      const read = READERS[sign](entered, kind, what)
      return read.ok ? read.value : complain(path, read.error)
    },
    wrong: (path, message) => {
      problems.push({ path, kind: 'wrong', message })
    },
    missing: (path, message) => {
      problems.push({ path, kind: 'missing', message })
    },
  }
}
