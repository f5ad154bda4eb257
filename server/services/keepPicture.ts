import { createHash } from 'node:crypto'
import { imageSize } from 'image-size'
import {
  PAPER_TYPE,
  WIDEST_PICTURE,
  type Paper,
  type Picture,
  type PictureType,
} from '#shared/schemas/picture'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'

/** What begins a file of each kind; what a browser or a name says of it counts for nothing. */
const BEGINNINGS: Readonly<Record<PictureType, readonly number[]>> = {
  'image/png': [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a],
  'image/jpeg': [0xff, 0xd8, 0xff],
}
/** From this on the camera's own note turns the picture by a quarter. */
const TURNED = 5

const PDF = Buffer.from('%PDF-')

/** Keeps a picture or a paper once; sent again under the same id it is the same or a mistake. */
export async function keepPicture(
  { attachments }: Repositories,
  id: string,
  bytes: Buffer,
): Promise<Picture | Paper> {
  const kept: Picture | Paper = bytes.subarray(0, PDF.length).equals(PDF)
    ? { id, type: PAPER_TYPE }
    : pictureOf(id, bytes)
  const digest = createHash('sha256').update(bytes).digest('hex')
  const stored = await attachments.find(id)
  if (stored && stored.digest !== digest)
    throw failure('locked', 'There is another picture under this id already.')
  if (!stored) await attachments.insert({ ...kept, digest }, bytes)
  return kept
}

function pictureOf(id: string, bytes: Buffer): Picture {
  const type = typeOf(bytes)
  const size = sizeOf(bytes)
  if (!type || !size)
    throw failure(
      'invalid',
      'This is not a PNG or JPEG picture nor a PDF, or it is damaged. Save it as one of them and bring it ' +
        'again.',
    )
  if (Math.max(size.width, size.height) > WIDEST_PICTURE)
    throw failure(
      'invalid',
      `This picture is ${size.width} x ${size.height} pixels; at most ${WIDEST_PICTURE} a side are ` +
        'shown. Scale it down first.',
    )
  return { id, type, ...size }
}

const typeOf = (bytes: Buffer) =>
  (Object.keys(BEGINNINGS) as PictureType[]).find((type) =>
    BEGINNINGS[type].every((byte, i) => bytes[i] === byte),
  )

function sizeOf(bytes: Buffer): { readonly width: number; readonly height: number } | undefined {
  try {
    const { width, height, orientation = 1 } = imageSize(bytes)
    if (!(width > 0 && height > 0)) return undefined
    return orientation >= TURNED ? { width: height, height: width } : { width, height }
  } catch {
    return undefined
  }
}
