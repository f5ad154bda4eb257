import { err, type Result } from '../../result'
import type { Position } from '../geodesy'
import { checkedGround } from './checkPlaces'
import { MOST_BYTES, type FileProblem, type FoundGround } from './foundGround'
import { readGeoJson } from './readGeoJson'
import { readXml } from './readXml'

/**
 * Outlines and tracks of a GeoJSON, KML or GPX file, told apart by content, not by name.
 * @param file its text; @param bytes its size; @param near where the site is, if known
 * @returns errors say what is wrong and what would be right: `empty`, `tooLarge`, `tooManyPoints`,
 *   `notRead`, `hostile`, `noGround`, `notDegrees`, `swapped`
 */
export function readGroundText(
  file: string,
  bytes: number,
  near?: Position,
): Result<FoundGround, FileProblem> {
  if (bytes > MOST_BYTES)
    return err({
      kind: 'tooLarge',
      message:
        `This file has ${(bytes / 1024 / 1024).toFixed(1)} MB; at most 10 MB are read. Export only the ` +
        'perimeter, or record at longer steps.',
    })
  const text = file.replace(/^\uFEFF/, '').trim()
  if (text === '') return err({ kind: 'empty', message: 'This file is empty.' })
  if (text.startsWith('PK'))
    return err({
      kind: 'notRead',
      message: 'This is a packed file (KMZ or zip): unpack it and bring the KML inside.',
    })
  const read =
    text.startsWith('{') || text.startsWith('[')
      ? readGeoJson(text)
      : text.startsWith('<')
        ? readXml(text)
        : undefined
  if (!read) return err({ kind: 'notRead', message: 'This is neither GeoJSON nor KML nor GPX.' })
  return read.ok ? checkedGround(read.value, near) : read
}
