import { escaped, pair, XML_HEAD } from '../../ground/files/writeGround'
import { toEarth, type Anchor } from '../../ground/geodesy'
import type { LawnLanes } from '../lawns/workOutLanes'

type Written = Pick<LawnLanes, 'id' | 'name' | 'plan'>

/** Every lane with its lawn, pass and number. */
const lanesOf = ({ id, name, plan }: Written) =>
  (plan?.passes ?? []).flatMap(({ lanes }, i) =>
    lanes.map(({ number, header, line, length }) => ({
      id,
      name,
      pass: i + 1,
      number,
      header,
      line,
      length,
    })),
  )

/** Lanes as lines. Source: RFC 7946. */
export function writeLanesGeoJson(lawns: readonly Written[], anchor: Anchor): string {
  const features = lawns.flatMap(lanesOf).map(({ id, name, pass, number, header, line, length }) => ({
    type: 'Feature',
    id: `${id}-${number}`,
    properties: { lawn: name, pass, lane: number, header, length_m: Number(length.toFixed(3)) },
    geometry: { type: 'LineString', coordinates: line.map((point) => pair(toEarth(point, anchor))) },
  }))
  return `${JSON.stringify({ type: 'FeatureCollection', features }, undefined, 1)}\n`
}

/** A route for each lane, in the order they are walked. Source: GPX 1.1 schema. */
export function writeLanesGpx(lawns: readonly Written[], anchor: Anchor): string {
  const routes = lawns.flatMap(lanesOf).map(({ name, pass, number, line }) => {
    const points = line.map((point) => {
      const [lon, lat] = pair(toEarth(point, anchor))
      return `<rtept lat="${lat}" lon="${lon}"></rtept>`
    })
    const words = escaped(`${name}, lane ${number}, pass ${pass}`)
    return `<rte><name>${words}</name><number>${number}</number>${points.join('')}</rte>`
  })
  return (
    `${XML_HEAD}\n<gpx version="1.1" creator="Hectarum" ` +
    `xmlns="http://www.topografix.com/GPX/1/1">\n${routes.join('\n')}\n</gpx>\n`
  )
}
