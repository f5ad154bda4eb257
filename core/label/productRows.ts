import { DROP_SIZES } from '../calibration/dropSize'
import { GRASS_NAMES } from '../ground/grasses'
import { TURF_STATES } from '../ground/turfStates'
import type { UnitSystem } from '../quantity/systems'
import { blankIn } from '../quantity/entered'
import { figureField } from '../quantity/figureField'
import {
  CELLS,
  column,
  documentOf,
  groupedRows,
  rowOf,
  type Column,
  type Row,
  type RowProblem,
} from '../shape/columns'
import { blankProductDocument, blankRateLine } from './blankProduct'
import { FORMS, RATE_BASES } from './label'
import { APPLICATION_METHODS, NITROGEN_FORMS, PRODUCT_KINDS, YEAR_PERIODS } from './productDocument'
import { LINE_FIELDS, LINE_FIGURE_NAMES, LINE_FIGURES, PRODUCT_FIELDS } from './productFields'
import type { ProductDocument, RateLine } from './productShape'

const { text, figure, choice, words, things } = CELLS

const grasses = words(GRASS_NAMES)
/** A share whose head says that it is one: without its sign. */
const share: typeof text = {
  write: (value) => (value as RateLine['rate'] | undefined)?.text ?? '',
  read: figure(figureField('percent', 'zero-too', 'Share')).read,
}

/** What the lines of a label share. */
const LABEL: readonly Column[] = [
  column('kind', choice(PRODUCT_KINDS)),
  column('form', choice(FORMS)),
  column('registration'),
  column('density', figure(PRODUCT_FIELDS.density)),
  ...(['n', 'p2o5', 'k2o', 'fe'] as const).map((name) => column(name, share, `analysis.${name}`)),
  column('slow_n', share, 'analysis.slowN'),
  column(
    'actives',
    things({ name: text, content: figure(PRODUCT_FIELDS['actives.*.content']), group: text }),
  ),
  column('packages', things({ size: figure(PRODUCT_FIELDS['packages.*.size']), price: text })),
  column('reentry', figure(PRODUCT_FIELDS.reentry)),
  column('signal', choice(['', 'caution', 'warning', 'danger'])),
  column('notes'),
  column('grain', figure(PRODUCT_FIELDS.grain)),
  ...NITROGEN_FORMS.map((form) => column(form, share, `nForms.${form}`)),
  column('coating'),
  column('releases', figure(PRODUCT_FIELDS.releases)),
  column('potassium', choice(['', 'chloride', 'sulfate'])),
  column('salt_index', text, 'saltIndex'),
  column('ph_from', text, 'ph.from'),
  column('ph_to', text, 'ph.to'),
  column('goes_in', choice(['', 'last']), 'ph.last'),
  column('measures', things({ tool: text, holds: figure(PRODUCT_FIELDS['measures.*.holds']), marks: text })),
  column('dials', things({ spreader: text, dial: text })),
  column('harms', grasses),
  column('restrictions'),
  column('shelf_life', figure(PRODUCT_FIELDS.shelfLife), 'shelfLife'),
  column('reorder_at', figure(PRODUCT_FIELDS.reorderAt), 'reorderAt'),
  column('label', choice(['own', 'sample'])),
]

const LINE: readonly Column[] = [
  column('use'),
  column('counts', choice(RATE_BASES), 'basis'),
  ...(['rate', 'low', 'high', 'most', 'year'] as const).map((name) =>
    column(name, figure(LINE_FIELDS[name])),
  ),
  column('repeat_from', figure(LINE_FIELDS.repeatFrom), 'repeatFrom'),
  column('repeat_to', figure(LINE_FIELDS.repeatTo), 'repeatTo'),
  column('method', choice(APPLICATION_METHODS)),
  column('per_year', text, 'perYear'),
  column('in_row', text, 'inRow'),
  column('year_active', figure(LINE_FIELDS.yearActive), 'yearActive'),
  column('year_means', choice(YEAR_PERIODS), 'period'),
  column('heat_units', text, 'heatUnits'),
  column('grasses', grasses),
  column('growth', choice(TURF_STATES)),
  column('spares_sown', grasses, 'sparesSown'),
  ...LINE_FIGURE_NAMES.map((name) =>
    column(
      name.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`),
      figure(LINE_FIGURES[name]),
      `figures.${name}`,
    ),
  ),
  column('drops', choice(DROP_SIZES)),
]

/** What parts of a label begin with that a label need not have. */
const PARTS = {
  ph: { from: '', to: '', last: '' },
  nForms: { nitrate: blankIn('%'), ammonium: blankIn('%'), urea: blankIn('%') },
}

/** The columns of a shelf as a table: a row for each rate line, what a product's lines share repeated. */
export const PRODUCT_COLUMNS: readonly string[] = [
  'product',
  'name',
  ...LABEL.map(({ head }) => head),
  'line',
  ...LINE.map(({ head }) => head),
]

export interface NamedProduct {
  readonly id: string
  readonly name: string
  readonly document: ProductDocument
}

/** A shelf as rows, with everything its labels say. */
export const productRows = (products: readonly NamedProduct[]): readonly Row[] =>
  products.flatMap(({ id, name, document }) =>
    document.lines.map((line, place) => ({
      product: id,
      name,
      ...rowOf(LABEL, document),
      line: String(place + 1),
      ...rowOf(LINE, line),
    })),
  )

/**
 * Reads labels back, or a table that somebody made with a spreadsheet: rows of one name that follow
 * each other are lines of one label.
 * @param newId makes ids where there are none; @returns all products, or every problem with its line
 */
export function readProductRows(
  rows: readonly Row[],
  newId: () => string,
  system: UnitSystem,
): { readonly products: readonly NamedProduct[]; readonly problems: readonly RowProblem[] } {
  const problems: RowProblem[] = []
  const groups = groupedRows(
    rows,
    ({ at }, first) =>
      at('name') === first.at('name') && (at('product') === '' || at('product') === first.at('product')),
  )
  const products = groups.map((own) => {
    const [first] = own
    const name = first.at('name')
    if (name === '') problems.push({ line: first.line, column: 'name', message: 'A product needs its name.' })
    const blank = blankProductDocument(newId(), system)
    const label = documentOf(LABEL, first, blank, PARTS, newId, problems)
    const lines = own.map((row) =>
      documentOf(LINE, row, blankRateLine(newId(), label.form, system), {}, newId, problems),
    )
    return { id: first.at('product') || newId(), name, document: { ...label, lines } }
  })
  return problems.length > 0 ? { products: [], problems } : { products, problems }
}
