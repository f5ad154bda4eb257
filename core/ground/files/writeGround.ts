import type { Polygon } from '../clipping'
import { ringToEarth, toEarth, type Anchor, type Position } from '../geodesy'
import { signedArea, type Point } from '../plane'

/** An area as it is written into a file: its net ground and its sample places. */
export interface WrittenArea {
  readonly id: string
  readonly name: string
  readonly net: readonly Polygon[]
  /** Square metres as dosed (sloped where a slope is given) and one standard deviation. */
  readonly sizeM2: number
  readonly sdM2: number
  readonly samples: readonly Point[]
}

/** Degrees to eight decimals: a millimetre. */
const degrees = (value: number) => Number(value.toFixed(8))
export const pair = ([lon, lat]: Position): [number, number] => [degrees(lon), degrees(lat)]

/**
 * Rings as RFC 7946 wants them: the outline against the clock, holes with it, the first place repeated at the
 * end.
 */
export function earthRings(polygon: Polygon, anchor: Anchor): [number, number][][] {
  return polygon.map((ring, i) => {
    const counter = signedArea(ring) > 0
    const places = ringToEarth(counter === (i === 0) ? ring : ring.toReversed(), anchor).map(pair)
    return [...places, places[0]!]
  })
}

const sampleName = (index: number) => `Sample ${index + 1}`

/** Source: RFC 7946. */
export function writeGeoJson(areas: readonly WrittenArea[], anchor: Anchor): string {
  const features = areas.flatMap(({ id, name, net, sizeM2, sdM2, samples }) => [
    ...(net.length === 0
      ? []
      : [
          {
            type: 'Feature',
            id,
            properties: { name, size_m2: sizeM2, sd_m2: sdM2 },
            geometry: {
              type: 'MultiPolygon',
              coordinates: net.map((polygon) => earthRings(polygon, anchor)),
            },
          },
        ]),
    ...samples.map((point, i) => ({
      type: 'Feature',
      id: `${id}-${i + 1}`,
      properties: { name: sampleName(i), area: name },
      geometry: { type: 'Point', coordinates: pair(toEarth(point, anchor)) },
    })),
  ])
  return `${JSON.stringify({ type: 'FeatureCollection', features }, undefined, 1)}\n`
}

// What XML 1.0 can't hold in any form is left out; the rest of the awkward characters is written as entities.
// eslint-disable-next-line no-control-regex -- control characters are just what is meant
const NOT_IN_XML = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/g
/** Text as XML takes it. */
export const escaped = (text: string): string =>
  text
    .replaceAll(NOT_IN_XML, '')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;')
export const XML_HEAD = '<?xml version="1.0" encoding="UTF-8"?>'

/** Source: OGC KML 2.2. */
export function writeKml(site: string, areas: readonly WrittenArea[], anchor: Anchor): string {
  const ring = (places: readonly [number, number][]) =>
    `<LinearRing><coordinates>${places.map((place) => place.join(',')).join(' ')}</coordinates></LinearRing>`
  const polygon = (one: Polygon) => {
    const [outer = [], ...holes] = earthRings(one, anchor)
    return (
      `<Polygon><outerBoundaryIs>${ring(outer)}</outerBoundaryIs>` +
      `${holes.map((hole) => `<innerBoundaryIs>${ring(hole)}</innerBoundaryIs>`).join('')}</Polygon>`
    )
  }
  const marks = areas.flatMap(({ name, net, sizeM2, samples }) => [
    ...(net.length === 0
      ? []
      : [
          `<Placemark><name>${escaped(name)}</name><description>${sizeM2.toFixed(1)} ` +
            `m2</description><MultiGeometry>${net.map(polygon).join('')}</MultiGeometry></Placemark>`,
        ]),
    ...samples.map(
      (point, i) =>
        `<Placemark><name>${escaped(`${sampleName(i)}, ${name}`)}</name><Point><coordinates>` +
        `${pair(toEarth(point, anchor)).join(',')}</coordinates></Point></Placemark>`,
    ),
  ])
  return (
    `${XML_HEAD}\n<kml ` +
    `xmlns="http://www.opengis.net/kml/2.2"><Document><name>${escaped(site)}</name>\n` +
    `${marks.join('\n')}\n</Document></kml>\n`
  )
}

/** Tracks round each outline and hole, waypoints for samples. Source: GPX 1.1 schema. */
export function writeGpx(site: string, areas: readonly WrittenArea[], anchor: Anchor): string {
  const point = (tag: string, [lon, lat]: readonly [number, number], inner = '') =>
    `<${tag} lat="${lat}" lon="${lon}">${inner}</${tag}>`
  const waypoints = areas.flatMap(({ name, samples }) =>
    samples.map((one, i) =>
      point('wpt', pair(toEarth(one, anchor)), `<name>${escaped(`${sampleName(i)}, ${name}`)}</name>`),
    ),
  )
  const tracks = areas
    .filter(({ net }) => net.length > 0)
    .map(({ name, net }) => {
      const segments = net
        .flatMap((one) => earthRings(one, anchor))
        .map((ring) => `<trkseg>${ring.map((place) => point('trkpt', place)).join('')}</trkseg>`)
      return `<trk><name>${escaped(name)}</name>${segments.join('')}</trk>`
    })
  return (
    `${XML_HEAD}\n<gpx version="1.1" creator="Hectarum" ` +
    `xmlns="http://www.topografix.com/GPX/1/1"><metadata><name>${escaped(site)}</name></metadata>\n` +
    `${[...waypoints, ...tracks].join('\n')}\n</gpx>\n`
  )
}
