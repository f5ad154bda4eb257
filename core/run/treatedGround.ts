import type { Polygon } from '../ground/clipping'
import { toEarth, type Anchor } from '../ground/geodesy'
import { earthRings, pair } from '../ground/files/writeGround'
import { inside, type Point } from '../ground/plane'
import { groundOf } from '../ground/samplePoints'
import type { MapArea, SiteLayout } from '../ground/siteLayout'
import { asWritten } from '../quantity/format'
import type { RunRecord } from './foldRun'
import { storedProgress } from './progress'

type RecordGround = Pick<RunRecord, 'frozen' | 'used' | 'outcomes' | 'details' | 'finishedAt' | 'progress'>

/** The lawns that were treated, as they were measured then; none of a record that kept no ground. */
export function treatedLawns({ frozen }: Pick<RunRecord, 'frozen'>): readonly MapArea[] {
  const treated = new Set(frozen.request.areas.map(({ id }) => id))
  return (frozen.worked?.lawns ?? [])
    .filter(({ id }) => treated.has(id))
    .map(({ id, name, parts }) => ({ id, name, parts, places: new Map() }))
}

/** Whether a place lies on the lawns, not beside them nor on what is taken from them. */
export const isOnTreated = ({ shapes }: Pick<SiteLayout, 'shapes'>, at: Point): boolean =>
  groundOf(shapes).some(
    ([outline = [], ...holes]) => inside(at, outline) && !holes.some((hole) => inside(at, hole)),
  )

/** A feature of RFC 7946, as far as it is written here. */
export interface TreatedFeature {
  readonly type: 'Feature'
  readonly id: string
  readonly properties: Readonly<Record<string, string | number>>
  readonly geometry:
    | { readonly type: 'MultiPolygon'; readonly coordinates: [number, number][][][] }
    | { readonly type: 'Point'; readonly coordinates: [number, number] }
}

/**
 * The ground a record treated, a feature for each lawn whose outline lies where it is; names of lawns known
 * only by their dimensions come apart.
 * @param anchor of the site's plan
 * Source: RFC 7946.
 */
export function treatedFeatures(
  recordId: string,
  record: RecordGround,
  anchor: Anchor | undefined,
): { readonly features: readonly TreatedFeature[]; readonly unplaced: readonly string[] } {
  const { frozen, used, outcomes, details, finishedAt } = record
  const lawns = frozen.worked?.lawns ?? []
  const features: TreatedFeature[] = []
  const unplaced: string[] = []
  for (const { id, name = '', size } of frozen.request.areas) {
    const net: readonly Polygon[] = lawns.find((lawn) => lawn.id === id)?.outlines?.net ?? []
    if (!anchor || net.length === 0) {
      unplaced.push(name || id)
      continue
    }
    features.push({
      type: 'Feature',
      id: `${recordId}-${id}`,
      properties: {
        record: recordId,
        site: frozen.site,
        lawn: name,
        size: asWritten(size.value),
        size_unit: size.unit,
        finished: finishedAt ?? '',
        done_by: details?.by ?? '',
        treated: used ? `${asWritten(used.treated.value)} ${used.treated.unit}` : '',
        products: frozen.labels
          .map(({ productId, name: product, registration }) => {
            const rate = outcomes.find((one) => one.productId === productId)?.actualRate
            return [
              product,
              registration && `(${registration})`,
              rate && `at ${asWritten(rate.value)} ${rate.unit}`,
            ]
              .filter(Boolean)
              .join(' ')
          })
          .join('; '),
      },
      geometry: { type: 'MultiPolygon', coordinates: net.map((polygon) => earthRings(polygon, anchor)) },
    })
  }
  const { spots = [] } = storedProgress(record)
  if (anchor && features.length > 0)
    for (const { id, at } of spots)
      features.push({
        type: 'Feature',
        id,
        properties: { record: recordId, site: frozen.site, spot: 'treated' },
        geometry: { type: 'Point', coordinates: pair(toEarth(at, anchor)) },
      })
  return { features, unplaced }
}
