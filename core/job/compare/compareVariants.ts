import { NUTRIENT_UNIT } from '../../quantity/nutrientText'
import type { Figure } from '../../working/figures'
import { isSameFigure } from '../../quantity/tolerance'
import type { Quantity } from '../../quantity/quantity'
import type { AmountUnit } from '../../quantity/units'
import type { WorkedApplication } from '../workOutJob'
import type { ApplicationDraft } from '../../draft/applicationShape'
import type { JobLanes } from '../../lanes/lawns/workOutLanes'

/** One figure of a sheet beside the same of another. */
export interface Compared {
  readonly label: string
  /** How the figures are told. */
  readonly kind: 'amount' | 'count' | 'seconds' | 'metres' | 'money' | 'nitrogen' | 'words'
  readonly a: Side
  readonly b: Side
  readonly differs: boolean
  /** The page of working that the variant's figure has. */
  readonly page: Figure | undefined
}
export type Side = Quantity<AmountUnit> | number | string | undefined

export interface Variant {
  readonly document: ApplicationDraft
  readonly sheet: WorkedApplication
  readonly cost: number | undefined
  /** Undefined until they were worked out. */
  readonly lanes: Pick<JobLanes, 'metres' | 'turns' | 'seconds'> | undefined
}

/** Two variants of one application, figure by figure; what only one of them has stands against nothing. */
export function compareVariants(a: Variant, b: Variant): readonly Compared[] {
  const [left, right] = [sidesOf(a), sidesOf(b)]
  const labels = [...left.keys(), ...[...right.keys()].filter((label) => !left.has(label))]
  return labels.map((label): Compared => {
    const [one, other] = [left.get(label), right.get(label)]
    return {
      label,
      kind: one?.kind ?? other?.kind ?? 'words',
      a: one?.side,
      b: other?.side,
      differs: !same(one?.side, other?.side),
      page: other?.page,
    }
  })
}

interface Told {
  readonly kind: Compared['kind']
  readonly side: Side
  readonly page?: Figure
}
type Sides = ReadonlyMap<string, Told>

function sidesOf({ document, sheet, cost, lanes }: Variant): Sides {
  const { plan, walk, checks } = sheet
  const count = (level: 'stop' | 'warn') => checks.filter((check) => check.level === level).length
  const spread = document.method === 'spread'
  const page = lanes ? 'lanes' : 'walk'
  return new Map<string, Told>([
    ['Carried by', { kind: 'words', side: document[document.method].equipment }],
    ...(spread ? [['Dial', { kind: 'words', side: sheet.dial?.setting }] as const] : []),
    ...(plan?.totals.products ?? []).map((total, i): [string, Told] => [
      document.products[i]?.name || `Product ${i + 1}`,
      { kind: 'amount', side: total.amount, page: `products.${total.id}.amount` },
    ]),
    ...(plan && !spread
      ? ([
          ['To mix', { kind: 'amount', side: plan.totals.mix ?? undefined, page: 'mix' }],
          ['Loads', { kind: 'count', side: plan.loads.length, page: 'loads.count' }],
        ] as const)
      : []),
    ...(plan && spread
      ? ([
          [
            'Passes',
            {
              kind: 'count',
              side: sheet.request?.method.kind === 'spread' ? sheet.request.method.passes : undefined,
            },
          ],
        ] as const)
      : []),
    ...(plan?.nutrients && plan.nutrients.n.value > 0
      ? ([
          [
            'Nitrogen',
            { kind: 'nitrogen', side: plan.nutrients.n.value * NUTRIENT_UNIT, page: 'nutrients.n' },
          ],
        ] as const)
      : []),
    ...(walk
      ? ([
          ['To walk', { kind: 'metres', side: lanes?.metres ?? walk.distance, page }],
          ...(lanes ? [['Turns', { kind: 'count', side: lanes.turns, page }] as const] : []),
          ['On foot', { kind: 'seconds', side: lanes?.seconds ?? walk.seconds, page }],
        ] as const)
      : []),
    ['Product costs', { kind: 'money', side: cost, ...(cost !== undefined && { page: 'cost.job' }) }],
    ['Stops', { kind: 'count', side: count('stop') }],
    ['Warnings', { kind: 'count', side: count('warn') }],
  ])
}

function same(a: Side, b: Side): boolean {
  if (typeof a === 'object' && typeof b === 'object')
    return a.unit === b.unit && isSameFigure(a.value, b.value)
  if (typeof a === 'number' && typeof b === 'number') return isSameFigure(a, b)
  return a === b
}
