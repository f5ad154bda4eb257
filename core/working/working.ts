import type { Figure } from './figures'
/** The lines of arithmetic behind one computed figure; the last line ends with the figure and its unit. */
export interface Working {
  readonly figure: Figure
  readonly lines: readonly string[]
}

/**
 * Where computing functions leave their working. Lines come as a function, so that a book that keeps nothing
 * costs nothing, and the arithmetic shown is built beside the arithmetic done.
 */
export interface WorkingBook {
  note: (figure: Figure, lines: () => readonly string[]) => void
  pages: () => readonly Working[]
  /** An empty book of the same kind, for pages that are put together before they are kept. */
  another: () => WorkingBook
}

/** A book that keeps every page; its lines are written when somebody first reads them, and once. */
export function openWorkingBook(): WorkingBook {
  const pages: Working[] = []
  return {
    note: (figure, lines) => pages.push(pageOf(figure, lines)),
    pages: () => pages,
    another: openWorkingBook,
  }
}

function pageOf(figure: Figure, write: () => readonly string[]): Working {
  let written: readonly string[] | undefined
  return {
    figure,
    get lines() {
      written ??= write()
      return written
    },
  }
}

/** A book that keeps nothing: for replanning many times a second. */
export const closedWorkingBook: WorkingBook = {
  note: () => {},
  pages: () => [],
  another: () => closedWorkingBook,
}

/**
 * Keeps how each page is made, not the page, so that what is worked out once can still show its working in
 * any book.
 */
export function deferredWorkingBook(): WorkingBook & { readonly copyInto: (book: WorkingBook) => void } {
  const kept: { readonly figure: Figure; readonly lines: () => readonly string[] }[] = []
  return {
    note: (figure, lines) => {
      kept.push({ figure, lines })
    },
    pages: () => kept.map(({ figure, lines }) => ({ figure, lines: lines() })),
    another: deferredWorkingBook,
    copyInto: (book) => {
      for (const { figure, lines } of kept) book.note(figure, lines)
    },
  }
}
