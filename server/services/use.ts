import type * as v from 'valibot'
import { SQUARE_METRES_PER } from '#core/quantity/units'
import { asWritten } from '#core/quantity/format'
import { useReport } from '#core/run/use/useReport'
import type { Use, UseQuerySchema } from '#shared/schemas/use'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import { csvOf } from './csv'

type Asked = v.InferOutput<typeof UseQuerySchema>

/** Fails with `invalid`; days that are left out are this year's up to today. */
export function daysOfUse({ from, to, ...asked }: Asked, today: string): Asked {
  const last = to || today
  const first = from || `${last.slice(0, 4)}-01-01`
  if (first > last) throw failure('invalid', [{ path: 'to', message: 'must not be before the first day' }])
  return { ...asked, from: first, to: last }
}

/** What of each product went down, under the headings asked for. */
export async function useOf(
  { ledger, products }: Pick<Repositories, 'ledger' | 'products'>,
  { by, from, to }: Pick<Asked, 'by' | 'from' | 'to'>,
): Promise<Use> {
  const [lines, saved] = await Promise.all([ledger.use(by, from, to), products.list()])
  const labels = new Map(saved.map(({ id, document }) => [id, document]))
  return { by, from, to, headings: useReport(lines, labels) }
}

/** The same as a table for other programs: amounts in kg or L. */
export const useCsv = ({ by, headings }: Use): string =>
  csvOf(
    headings.flatMap(({ key, lines }) =>
      lines.map((line) => ({
        [by]: key,
        product_name: line.product,
        active_ingredient: line.active,
        group: line.group,
        applications: line.applications,
        first_day: line.first,
        last_day: line.last,
        ground_m2: asWritten(line.sizeM2),
        ground_ft2: asWritten(line.sizeM2 / SQUARE_METRES_PER.ft2),
        amount: asWritten(line.dimension === 'mass' ? line.amount : line.amount * 1000),
        amount_unit: line.dimension === 'mass' ? 'kg' : 'L',
        active_kg: line.actives
          .map(({ name, kilograms }) => `${name} ${kilograms === undefined ? '?' : asWritten(kilograms)}`)
          .join('; '),
        nitrogen_kg: line.n === null ? '' : asWritten(line.n),
      })),
    ),
    { columns: [by, ...USE_COLUMNS] },
  )
const USE_COLUMNS = [
  'product_name',
  'active_ingredient',
  'group',
  'applications',
  'first_day',
  'last_day',
  'ground_m2',
  'ground_ft2',
  'amount',
  'amount_unit',
  'active_kg',
  'nitrogen_kg',
] as const
