import type { WorkingBook } from '#core/working/working'

/** The pages of a book as an answer carries them. */
export const answeredWorking = (book: WorkingBook): { figure: string; lines: string[] }[] =>
  book.pages().map(({ figure, lines }) => ({ figure, lines: [...lines] }))
