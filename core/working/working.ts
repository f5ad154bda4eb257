/** The lines of arithmetic behind one computed figure; the last line ends with the figure and its unit. */
export interface Working {
  readonly figure: string
  readonly lines: readonly string[]
}

/**
 * Where computing functions leave their working. Lines come as a function, so that a book that keeps nothing
 * costs nothing, and the arithmetic shown is built beside the arithmetic done.
 */
export interface WorkingBook {
  note: (figure: string, lines: () => readonly string[]) => void
  pages: () => readonly Working[]
  /** An empty book of the same kind, for pages that are put together before they are kept. */
  another: () => WorkingBook
}

/** A book that keeps every page. */
export function openWorkingBook(): WorkingBook {
  const pages: Working[] = []
  return { note: (figure, lines) => pages.push({ figure, lines: lines() }), pages: () => pages, another: openWorkingBook }
}

/** A book that keeps nothing: for replanning many times a second. */
export const closedWorkingBook: WorkingBook = { note: () => {}, pages: () => [], another: () => closedWorkingBook }
