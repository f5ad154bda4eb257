import { sameContent } from '#core/sameContent'

/** A value worked out anew at every key; while it says the same it stays the same, and nothing is drawn. */
export const steady = <Value>(value: () => Value): ComputedRef<Value> =>
  computed<Value>((last) => {
    const now = value()
    return sameContent(last, now) ? (last as Value) : now
  })

/** Rows worked out anew at every key: of those that say what they said, none is drawn again. */
export const steadyRows = <Row>(rows: () => readonly Row[]): ComputedRef<readonly Row[]> =>
  computed<readonly Row[]>((last = []) => {
    const now = rows().map((row, i) => {
      const before = last[i]
      return before !== undefined && sameContent(before, row) ? before : row
    })
    return now.length === last.length && now.every((row, i) => row === last[i]) ? last : now
  })
