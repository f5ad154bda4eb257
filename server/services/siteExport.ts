import { writeGeoJson, writeGpx, writeKml } from '#core/ground/files/writeGround'
import { readSiteMap, writtenAreas, type SiteMapReading } from '#core/ground/siteMap'
import { SQUARE_METRES_PER } from '#core/quantity/units'
import type { Area, Site } from '#shared/schemas/ground'
import { failure } from '../http/failure'
import { csvOf } from './csv'

export const SITE_FORMATS = ['geojson', 'kml', 'gpx', 'csv'] as const
export type SiteFormat = (typeof SITE_FORMATS)[number]

const TYPES: Readonly<Record<SiteFormat, string>> = {
  geojson: 'application/geo+json',
  kml: 'application/vnd.google-earth.kml+xml',
  gpx: 'application/gpx+xml',
  csv: 'text/csv; charset=utf-8',
}

/** The areas of a site as a file for other programs. @param day YYYY-MM-DD: dated exclusions lapse */
export function siteFile(
  site: Site,
  areas: readonly Area[],
  format: SiteFormat,
  day: string,
): { readonly type: string; readonly text: string } {
  const plan = readSiteMap(areas, day)
  if (format === 'csv') return { type: TYPES.csv, text: siteCsv(plan, areas) }
  const { anchor } = site.document
  if (!anchor)
    throw failure(
      'not-anchored',
      'This plan has no position on the earth yet, so no map program could place it. Anchor it on the ' +
        'plan, or take the CSV.',
    )
  const written = writtenAreas(plan)
  if (written.length === 0)
    throw failure(
      'not-anchored',
      'No area of this site is drawn, walked, traced or imported: areas known only by their dimensions ' +
        'have no position. Take the CSV, or outline one on the plan.',
    )
  const text =
    format === 'geojson'
      ? writeGeoJson(written, anchor)
      : format === 'kml'
        ? writeKml(site.name, written, anchor)
        : writeGpx(site.name, written, anchor)
  return { type: TYPES[format], text }
}

function siteCsv({ areas }: SiteMapReading, stored: readonly Area[]): string {
  const rows = areas.map(({ id, name, size, sd, parts, located, samples }) => {
    const document = stored.find((area) => area.id === id)?.document
    return {
      area: name,
      use: document?.use ?? '',
      size_m2: size ?? '',
      size_ft2: size === undefined ? '' : size / SQUARE_METRES_PER.ft2,
      sd_m2: sd ?? '',
      surface: document?.slope.text.trim() ? `sloped, ${document.slope.text} %` : 'flat',
      measured_by: parts
        .map(({ sign, name: method }) => `${sign === 'add' ? '+' : '-'} ${method}`)
        .join('; '),
      instrument: document?.tool?.name ?? document?.instrument ?? '',
      on_plan: located ? 'where it is' : 'schematic',
      grass:
        document?.grass
          .map(({ species, share }) => `${species}${share.text ? ` ${share.text} %` : ''}`)
          .join('; ') ?? '',
      samples_m: samples.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('; '),
    }
  })
  return csvOf(rows)
}
