import { BY_SIGN, type EnteredProblem } from './entered'
import type { EnteredIn, FieldTable, FigureField } from './figureField'
import type { KindUnits } from './parseQuantity'
import type { Quantity } from './quantity'

/** What is wrong with, or missing from, one field of a document; the path is the field's, dotted. */
export interface FieldProblem {
  readonly path: string
  readonly kind: 'missing' | 'wrong'
  readonly message: string
  /** What is missing, by its name. */
  readonly lacks?: string
}

type QuantityIn<F extends FigureField> = Quantity<KindUnits[F['kind']]>

/** Reads one field; nothing there reads as undefined. */
type ReadRow<T extends FieldTable> = <Row extends keyof T & string>(
  row: Row,
  entered: EnteredIn<T[Row]> | undefined,
  /** What stands at the row's star. */
  place?: number | string,
  /** In a sentence about it, where the row's name is too general. */
  name?: string,
) => QuantityIn<T[Row]> | undefined

/** Reads the figures of one document, or of a part of it. */
interface TableReader<T extends FieldTable> {
  /** A blank one is missing. */
  readonly needed: ReadRow<T>
  /** A blank one is fine. */
  readonly optional: ReadRow<T>
}

/** Reads fields of a document and gathers their problems, so that one bad field does not hide the next. */
export interface FieldReader {
  readonly problems: FieldProblem[]
  /** @param path of the part that the table is of, blank for the whole */
  readonly of: <T extends FieldTable>(table: T, path: string) => TableReader<T>
  readonly needed: <F extends FigureField>(
    path: string,
    entered: EnteredIn<F> | undefined,
    field: F,
  ) => QuantityIn<F> | undefined
  readonly optional: <F extends FigureField>(
    path: string,
    entered: EnteredIn<F> | undefined,
    field: F,
  ) => QuantityIn<F> | undefined
  wrong: (path: string, message: string) => void
  missing: (path: string, message: string) => void
  /** Something that is needed and not there, by its name. */
  lacks: (path: string, name: string) => void
}

export function fieldReader(): FieldReader {
  const problems: FieldProblem[] = []
  const complain = (path: string, { message }: EnteredProblem) => {
    problems.push({ path, kind: 'wrong', message })
    return undefined
  }
  const lacks = (path: string, name: string) => {
    problems.push({ path, kind: 'missing', message: `${name} is still missing.`, lacks: name })
    return undefined
  }
  const optional: FieldReader['optional'] = (path, entered, { kind, name, sign }) => {
    if (!entered || entered.text.trim() === '') return undefined
    const read = BY_SIGN[sign](entered, kind, name)
    return read.ok ? (read.value as never) : complain(path, read.error)
  }
  const needed: FieldReader['needed'] = (path, entered, field) =>
    !entered || entered.text.trim() === '' ? lacks(path, field.name) : optional(path, entered, field)
  const of: FieldReader['of'] = (table, prefix) => {
    const by =
      (read: FieldReader['needed']): ReadRow<typeof table> =>
      (row, entered, place, name) => {
        const field = table[row] as (typeof table)[typeof row]
        const own = place === undefined ? row : row.replace('*', String(place))
        return read(
          prefix === '' ? own : `${prefix}.${own}`,
          entered,
          name === undefined ? field : { ...field, name },
        )
      }
    return { needed: by(needed), optional: by(optional) }
  }
  return {
    problems,
    of,
    needed,
    optional,
    lacks,
    wrong: (path, message) => {
      problems.push({ path, kind: 'wrong', message })
    },
    missing: (path, message) => {
      problems.push({ path, kind: 'missing', message })
    },
  }
}
