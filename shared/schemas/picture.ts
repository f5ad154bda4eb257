export const PICTURE_TYPES = ['image/png', 'image/jpeg'] as const
export type PictureType = (typeof PICTURE_TYPES)[number]

/** Largest picture that is kept, and largest side of it, pixels. */
export const LARGEST_PICTURE = 10 * 1024 * 1024
export const WIDEST_PICTURE = 20_000

/** A picture as it is kept; its size is as it is shown, turned as its camera says. */
export interface Picture {
  readonly id: string
  readonly type: PictureType
  readonly width: number
  readonly height: number
}
