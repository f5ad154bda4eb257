import { PRODUCT_FIELDS } from '../productFields'
import type { FieldReader } from '../../quantity/fieldReader'
import { isOver } from '../../quantity/tolerance'
import { ANALYSIS_PARTS, countIn, NITROGEN_FORMS, priceOf } from '../productDocument'
import type { ProductDocument } from '../productShape'
import { readLine } from './readLine'

/** Reads every figure of a label; what is wrong lands in the reader's problems, at its field. */
export function readProduct(document: ProductDocument, fields: FieldReader): void {
  const at = fields.of(PRODUCT_FIELDS, 'document')
  at.optional('density', document.density)
  if (document.grain) at.optional('grain', document.grain)
  for (const [name, what] of ANALYSIS_PARTS) {
    at.optional('analysis.*', document.analysis[name], name, what)
  }
  document.actives.forEach(({ content }, i) => at.optional('actives.*.content', content, i))
  readExtras(document, fields)
  document.lines.forEach((line, i) => readLine(line, `document.lines.${i}`, fields))
  document.packages.forEach(({ size, price }, i) => {
    at.optional('packages.*.size', size, i)
    if (price.trim() !== '' && priceOf(price) === undefined)
      fields.wrong(`document.packages.${i}.price`, 'A price is a figure above zero, such as 48.50.')
  })
  at.optional('reentry', document.reentry)
  at.optional('reorderAt', document.reorderAt)
  if (document.shelfLife) at.optional('shelfLife', document.shelfLife)
}

function readExtras(
  { nForms, releases, saltIndex, ph, measures = [] }: ProductDocument,
  fields: FieldReader,
): void {
  const at = fields.of(PRODUCT_FIELDS, 'document')
  if (nForms) {
    const shares = NITROGEN_FORMS.map(
      (form) => at.optional('nForms.*', nForms[form], form, `Share of ${form}`)?.value ?? 0,
    )
    const sum = shares.reduce((total, share) => total + share, 0)
    if (isOver(sum, 100))
      fields.wrong(
        'document.nForms.urea',
        `The forms of nitrogen come to ${Math.round(sum)} % of it: together they are at most 100 %.`,
      )
  }
  if (releases) at.optional('releases', releases)
  if (saltIndex?.trim() && !(Number(saltIndex) >= 0))
    fields.wrong('document.saltIndex', 'A salt index is a figure such as 46.')
  const [from, to] = [ph?.from, ph?.to].map((text) => (text?.trim() ? Number(text) : undefined))
  if ([from, to].some((value) => value !== undefined && !(value > 0 && value <= 14)))
    fields.wrong('document.ph.from', 'A pH lies between 0 and 14, such as 5.5.')
  else if (from !== undefined && to !== undefined && from > to)
    fields.wrong('document.ph.from', 'The lower pH comes first: check both.')
  measures.forEach(({ holds, marks }, i) => {
    at.optional('measures.*.holds', holds, i)
    if (marks.trim() && countIn(marks) === undefined)
      fields.wrong(`document.measures.${i}.marks`, 'Marks are a whole number: 4.')
  })
}
