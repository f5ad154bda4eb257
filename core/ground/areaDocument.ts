import { AREA_FIELDS } from './areaFields'
import { isOver } from '../quantity/tolerance'
import type { FieldReader } from '../quantity/fieldReader'
import type { WorkingBook } from '../working/working'
import type { AreaDocument } from './areaShape'
import { readFieldNotes, type MeasuredGround } from './readFieldNotes'

/** Measures an area and reads its attributes. @param day YYYY-MM-DD; dated exclusions lapse */
export function readArea(
  document: AreaDocument,
  name: string,
  day: string,
  fields: FieldReader,
  book: WorkingBook,
): MeasuredGround {
  const at = fields.of(AREA_FIELDS, 'document')
  const ground = readFieldNotes(
    document,
    { path: 'document', name: name.trim() || 'this area', figure: 'area.size', day },
    fields,
    book,
  )
  at.optional('cover', document.cover)
  at.optional('cut', document.cut)
  at.optional('thatch', document.thatch)
  if (document.irrigation.kind === 'zone') at.optional('irrigation.output', document.irrigation.output)
  const { soilTest } = document
  if (soilTest) {
    at.optional('soilTest.organic', soilTest.organic)
    if (soilTest.ph.trim() && !(Number(soilTest.ph) > 2 && Number(soilTest.ph) < 11))
      fields.wrong('document.soilTest.ph', 'A soil’s pH lies between 2 and 11, such as 6.4.')
  }
  const shares = document.grass.map(({ share }, i) => at.optional('grass.*.share', share, i)?.value ?? 0)
  const sum = shares.reduce((total, share) => total + share, 0)
  if (isOver(sum, 100))
    fields.wrong(
      `document.grass.${shares.length - 1}.share`,
      `The shares of the grasses come to ${Math.round(sum)} %: together they are at most 100 %.`,
    )
  return ground
}
