export const PICTURE_TYPES = ['image/png', 'image/jpeg'] as const
export type PictureType = (typeof PICTURE_TYPES)[number]
export const PAPER_TYPE = 'application/pdf'

/** What a file of a crew may be. */
export const ATTACHMENT_TYPES: readonly string[] = [...PICTURE_TYPES, PAPER_TYPE]

/** Largest picture or paper that is kept, bytes, and largest side of a picture, pixels. */
export const LARGEST_PICTURE = 10 * 1024 * 1024
export const WIDEST_PICTURE = 20_000

/** A picture as it is kept; its size is as it is shown, turned as its camera says. */
export interface Picture {
  readonly id: string
  readonly type: PictureType
  readonly width: number
  readonly height: number
}

/** A paper as it is kept, such as a label: it has pages and no size in pixels. */
export interface Paper {
  readonly id: string
  readonly type: typeof PAPER_TYPE
}
