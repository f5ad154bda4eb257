import type { FieldReader } from '../../quantity/fieldReader'
import { isOver } from '../../quantity/tolerance'
import { ANALYSIS_PARTS, countIn, NITROGEN_FORMS, priceOf } from '../productDocument'
import type { ProductDocument } from '../productShape'
import { readLine } from './readLine'

/** Reads every figure of a label; what is wrong lands in the reader's problems, at its field. */
export function readProduct(document: ProductDocument, fields: FieldReader): void {
  fields.optional('document.density', document.density, 'density', 'Density', 'above-zero')
  if (document.grain) fields.optional('document.grain', document.grain, 'grain', 'Grain size', 'above-zero')
  for (const [name, what] of ANALYSIS_PARTS) {
    fields.optional(`document.analysis.${name}`, document.analysis[name], 'percent', what, 'zero-too')
  }
  document.actives.forEach(({ content }, i) =>
    fields.optional(`document.actives.${i}.content`, content, 'content', 'Active content', 'above-zero'),
  )
  readExtras(document, fields)
  document.lines.forEach((line, i) => readLine(line, `document.lines.${i}`, fields))
  document.packages.forEach(({ size, price }, i) => {
    fields.optional(`document.packages.${i}.size`, size, 'amount', 'Package', 'above-zero')
    if (price.trim() !== '' && priceOf(price) === undefined)
      fields.wrong(`document.packages.${i}.price`, 'A price is a figure above zero, such as 48.50.')
  })
  fields.optional('document.reentry', document.reentry, 'time', 'Re-entry', 'zero-too')
  fields.optional('document.reorderAt', document.reorderAt, 'amount', 'Reorder at', 'zero-too')
  if (document.shelfLife)
    fields.optional('document.shelfLife', document.shelfLife, 'time', 'Keeps for', 'above-zero')
}

function readExtras(
  { nForms, releases, saltIndex, ph, measures = [] }: ProductDocument,
  fields: FieldReader,
): void {
  if (nForms) {
    const shares = NITROGEN_FORMS.map(
      (form) =>
        fields.optional(`document.nForms.${form}`, nForms[form], 'percent', `Share of ${form}`, 'zero-too')
          ?.value ?? 0,
    )
    const sum = shares.reduce((total, share) => total + share, 0)
    if (isOver(sum, 100))
      fields.wrong(
        'document.nForms.urea',
        `The forms of nitrogen come to ${Math.round(sum)} % of it: together they are at most 100 %.`,
      )
  }
  if (releases) fields.optional('document.releases', releases, 'time', 'Releases over', 'above-zero')
  if (saltIndex?.trim() && !(Number(saltIndex) >= 0))
    fields.wrong('document.saltIndex', 'A salt index is a figure such as 46.')
  const [from, to] = [ph?.from, ph?.to].map((text) => (text?.trim() ? Number(text) : undefined))
  if ([from, to].some((value) => value !== undefined && !(value > 0 && value <= 14)))
    fields.wrong('document.ph.from', 'A pH lies between 0 and 14, such as 5.5.')
  else if (from !== undefined && to !== undefined && from > to)
    fields.wrong('document.ph.from', 'The lower pH comes first: check both.')
  measures.forEach(({ holds, marks }, i) => {
    fields.optional(`document.measures.${i}.holds`, holds, 'amount', 'One level fill', 'above-zero')
    if (marks.trim() && countIn(marks) === undefined)
      fields.wrong(`document.measures.${i}.marks`, 'Marks are a whole number: 4.')
  })
}
