import { v7 as uuid } from 'uuid'
import { keepPhoto } from './keptRuns'

/** Longest side of a kept photo, pixels, and how large its file may be. */
const LONGEST_SIDE = 1600
const LARGEST_BYTES = 2 * 1024 * 1024
const QUALITIES = [0.82, 0.65, 0.5, 0.35] as const

/**
 * Makes a photo small on this device and keeps it here until the server has it.
 * @returns its id; undefined where the picture cannot be read
 */
export async function keepSmallPhoto(file: Blob, organizationId: string): Promise<string | undefined> {
  const blob = await smallJpeg(file)
  if (!blob) return undefined
  const id = uuid()
  await keepPhoto({ organizationId, id, blob })
  return id
}

async function smallJpeg(file: Blob): Promise<Blob | undefined> {
  const picture = await createImageBitmap(file).catch(() => undefined)
  if (!picture) return undefined
  const scale = Math.min(1, LONGEST_SIDE / Math.max(picture.width, picture.height))
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(picture.width * scale)),
    Math.max(1, Math.round(picture.height * scale)),
  )
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height)
  picture.close()
  for (const quality of QUALITIES) {
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality })
    if (blob.size <= LARGEST_BYTES) return blob
  }
  return undefined
}
