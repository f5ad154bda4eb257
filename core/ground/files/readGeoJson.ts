import { err, ok, type Result } from '../../result'
import type { Position } from '../geodesy'
import { asRing } from './checkPlaces'
import type { FileProblem, FoundGround, FoundShape } from './foundGround'

type Node = Readonly<Record<string, unknown>>
const isNode = (value: unknown): value is Node =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const list = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : [])

/** How deep collections may lie in each other. */
const DEEPEST = 8

/**
 * Outlines and tracks of a GeoJSON text. Source: RFC 7946; older files with a named grid are refused, since
 * RFC 7946 knows only WGS 84.
 */
export function readGeoJson(text: string): Result<FoundGround, FileProblem> {
  let root: unknown
  try {
    root = JSON.parse(text)
  } catch {
    return err({
      kind: 'notRead',
      message: 'This is not complete JSON: the file may have been cut short. Export it again.',
    })
  }
  if (!isNode(root) || typeof root.type !== 'string')
    return err({
      kind: 'notRead',
      message: 'This JSON is not GeoJSON: it has no type such as FeatureCollection.',
    })
  const crs = isNode(root.crs) && isNode(root.crs.properties) ? String(root.crs.properties.name ?? '') : ''
  if (crs !== '' && !/CRS84|4326/.test(crs))
    return err({
      kind: 'notDegrees',
      message: `This file is in ${crs.slice(0, 60)}: export it as longitude and latitude (WGS 84).`,
    })
  const shapes: FoundShape[] = []
  const skipped = collect(root, '', 0, shapes)
  return ok({ kind: 'GeoJSON', shapes, skipped })
}

/** Adds what has an area; returns how many things had none. */
function collect(node: unknown, name: string, depth: number, shapes: FoundShape[]): number {
  if (!isNode(node) || depth > DEEPEST) return 1
  const below = (nodes: unknown, own = name) =>
    list(nodes).reduce((sum: number, one) => sum + collect(one, own, depth + 1, shapes), 0)
  const called =
    isNode(node.properties) && typeof node.properties.name === 'string' ? node.properties.name : name
  switch (node.type) {
    case 'FeatureCollection':
      return below(node.features)
    case 'Feature':
      return collect(node.geometry, called, depth + 1, shapes)
    case 'GeometryCollection':
      return below(node.geometries)
    case 'Polygon':
      return addPolygon(list(node.coordinates), name, shapes)
    case 'MultiPolygon':
      return list(node.coordinates).reduce(
        (sum: number, rings) => sum + addPolygon(list(rings), name, shapes),
        0,
      )
    case 'LineString':
      return addLine(node.coordinates, name, shapes)
    case 'MultiLineString':
      return list(node.coordinates).reduce((sum: number, line) => sum + addLine(line, name, shapes), 0)
    default:
      return 1
  }
}

const places = (coordinates: unknown): readonly Position[] =>
  list(coordinates).map((pair) => [Number(list(pair)[0]), Number(list(pair)[1])] as const)

function addPolygon(rings: readonly unknown[], name: string, shapes: FoundShape[]): number {
  const [outer, ...holes] = rings.map((ring) => asRing(places(ring)).places)
  if (!outer || outer.length < 3) return 1
  shapes.push({ name, kind: 'ring', places: outer, holes: holes.filter((hole) => hole.length >= 3) })
  return 0
}

function addLine(coordinates: unknown, name: string, shapes: FoundShape[]): number {
  const line = asRing(places(coordinates))
  if (line.places.length < 3) return 1
  shapes.push({ name, ...line, holes: [] })
  return 0
}
