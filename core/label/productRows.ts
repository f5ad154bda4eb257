import { figureCell } from '../quantity/cells'
import { NITROGEN_FORMS } from './productDocument'
import { LINE_FIGURE_NAMES, type LineFigure } from './productFields'
import type { ProductDocument, RateLine } from './productShape'

/** The columns of a shelf as a table: a row for each rate line, what a product's lines share repeated. */
export const PRODUCT_COLUMNS = [
  'product',
  'name',
  'kind',
  'form',
  'registration',
  'density',
  'n',
  'p2o5',
  'k2o',
  'fe',
  'slow_n',
  'actives',
  'packages',
  'reentry',
  'signal',
  'notes',
  'grain',
  ...NITROGEN_FORMS,
  'coating',
  'releases',
  'potassium',
  'salt_index',
  'ph_from',
  'ph_to',
  'goes_in',
  'measures',
  'dials',
  'harms',
  'restrictions',
  'shelf_life',
  'reorder_at',
  'label',
  'line',
  'use',
  'counts',
  'rate',
  'low',
  'high',
  'most',
  'year',
  'repeat_from',
  'repeat_to',
  'method',
  'per_year',
  'in_row',
  'year_active',
  'year_means',
  'heat_units',
  'grasses',
  'growth',
  'spares_sown',
  'carrier_from',
  'carrier_to',
  'lead',
  'lasts',
  'seed_after',
  'seed_before',
  'rainfast',
  'water_depth',
  'water_within',
  'mow_before',
  'mow_after',
  'rake_after',
  'wind_most',
  'buffer',
  'soil_from',
  'soil_to',
  'air_most',
  'drops',
] as const
export type ProductColumn = (typeof PRODUCT_COLUMNS)[number]
export interface NamedProduct {
  readonly id: string
  readonly name: string
  readonly document: ProductDocument
}

/** The column of each figure of a line. */
export const FIGURE_COLUMNS = {
  carrierFrom: 'carrier_from',
  carrierTo: 'carrier_to',
  lead: 'lead',
  lasts: 'lasts',
  seedAfter: 'seed_after',
  seedBefore: 'seed_before',
  rainfast: 'rainfast',
  waterDepth: 'water_depth',
  waterWithin: 'water_within',
  mowBefore: 'mow_before',
  mowAfter: 'mow_after',
  rakeAfter: 'rake_after',
  windMost: 'wind_most',
  buffer: 'buffer',
  soilFrom: 'soil_from',
  soilTo: 'soil_to',
  airMost: 'air_most',
} as const satisfies Readonly<Record<LineFigure, ProductColumn>>
type FigureColumn = (typeof FIGURE_COLUMNS)[LineFigure]

/** Lists of words in one cell are parted by ;, the parts of one thing by |. */
const listCell = (parts: readonly (readonly string[])[]): string =>
  parts.map((one) => one.join(' | ')).join('; ')

/** A shelf as rows, with everything its labels say. */
export function productRows(
  products: readonly NamedProduct[],
): readonly Readonly<Record<ProductColumn, string>>[] {
  return products.flatMap(({ id, name, document }) => {
    const { kind, form, registration, density, analysis, actives, packages, reentry, signal, notes } =
      document
    const shared = {
      product: id,
      name,
      kind,
      form,
      registration,
      density: figureCell(density),
      n: analysis.n.text,
      p2o5: analysis.p2o5.text,
      k2o: analysis.k2o.text,
      fe: analysis.fe.text,
      slow_n: analysis.slowN.text,
      actives: listCell(actives.map((active) => [active.name, figureCell(active.content), active.group])),
      packages: listCell(packages.map(({ size, price }) => [figureCell(size), price])),
      reentry: figureCell(reentry),
      signal,
      notes,
      ...extras(document),
    }
    return document.lines.map((line, i) => ({
      ...shared,
      line: String(i + 1),
      use: line.use,
      counts: line.basis,
      rate: figureCell(line.rate),
      low: figureCell(line.low),
      high: figureCell(line.high),
      most: figureCell(line.most),
      year: figureCell(line.year),
      repeat_from: figureCell(line.repeatFrom),
      repeat_to: figureCell(line.repeatTo),
      method: line.method ?? '',
      per_year: line.perYear ?? '',
      in_row: line.inRow ?? '',
      ...further(line),
    }))
  })
}

/** What a label says of the product beside its analysis. */
function extras({
  grain,
  nForms,
  coating = '',
  releases,
  potassium = '',
  saltIndex = '',
  ph,
  measures = [],
  dials = [],
  harms = [],
  restrictions = '',
  shelfLife,
  reorderAt,
  label,
}: ProductDocument) {
  return {
    grain: figureCell(grain),
    nitrate: nForms?.nitrate.text ?? '',
    ammonium: nForms?.ammonium.text ?? '',
    urea: nForms?.urea.text ?? '',
    coating,
    releases: figureCell(releases),
    potassium,
    salt_index: saltIndex,
    ph_from: ph?.from ?? '',
    ph_to: ph?.to ?? '',
    goes_in: ph?.last ?? '',
    measures: listCell(measures.map(({ tool, marks, holds }) => [tool, figureCell(holds), marks])),
    dials: listCell(dials.map(({ spreader, dial }) => [spreader, dial])),
    harms: harms.join('; '),
    restrictions,
    shelf_life: figureCell(shelfLife),
    reorder_at: figureCell(reorderAt),
    label,
  }
}

/** What a line says beside its rates. */
function further({
  yearActive,
  period = '',
  heatUnits = '',
  grasses = [],
  growth = '',
  sparesSown = [],
  drops = '',
  figures,
}: RateLine) {
  const cells = Object.fromEntries(
    LINE_FIGURE_NAMES.map((name) => [FIGURE_COLUMNS[name], figureCell(figures?.[name])]),
  ) as Record<FigureColumn, string>
  return {
    year_active: figureCell(yearActive),
    year_means: period,
    heat_units: heatUnits,
    grasses: grasses.join('; '),
    growth,
    spares_sown: sparesSown.join('; '),
    drops,
    ...cells,
  }
}
