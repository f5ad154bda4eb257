import { XMLParser, XMLValidator } from 'fast-xml-parser'
import { err, ok, type Result } from '../../result'
import type { Position } from '../geodesy'
import { asRing } from './checkPlaces'
import type { FileProblem, FoundGround, FoundShape } from './foundGround'

type Node = Readonly<Record<string, unknown>>
const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null && !Array.isArray(value)
const all = (value: unknown): readonly unknown[] => (value === undefined || value === '' ? [] : Array.isArray(value) ? value : [value])
const nodes = (value: unknown): readonly Node[] => all(value).filter(isNode)
const words = (value: unknown): string => (typeof value === 'string' ? value : typeof value === 'number' ? String(value) : '').trim()

/**
 * Outlines and tracks of a KML or GPX text. A document type or entities are refused before anything is read: no such file needs them, and
 * they are how a small file grows without end or reaches for others.
 */
export function readXml(text: string): Result<FoundGround, FileProblem> {
  if (/<!(DOCTYPE|ENTITY)/i.test(text)) return err({ kind: 'hostile', message: 'This file declares a document type or entities. No track or outline needs them, so it is not read: export it again from a program you trust.' })
  const valid = XMLValidator.validate(text)
  if (valid !== true) return err({ kind: 'notRead', message: `This is not complete XML (line ${valid.err.line}): the file may have been cut short. Export it again.` })
  const parser = new XMLParser({ ignoreAttributes: false, attributeNamePrefix: '@', parseTagValue: false, parseAttributeValue: false, removeNSPrefix: true, processEntities: true, htmlEntities: false })
  const root: unknown = parser.parse(text)
  if (!isNode(root)) return err({ kind: 'notRead', message: 'There is nothing in this file.' })
  if (isNode(root.gpx)) return ok(gpx(root.gpx))
  if (isNode(root.kml)) return ok(kml(root.kml))
  return err({ kind: 'notRead', message: 'This XML is neither KML nor GPX.' })
}

/** Source: GPX 1.1 schema: tracks of segments, routes, single waypoints. */
function gpx(root: Node): FoundGround {
  const shapes: FoundShape[] = []
  let skipped = all(root.wpt).length
  const add = (name: string, points: unknown) => {
    const line = asRing(nodes(points).map((point) => [Number(point['@lon']), Number(point['@lat'])] as const))
    if (line.places.length < 3) skipped++
    else shapes.push({ name, ...line, holes: [] })
  }
  for (const track of nodes(root.trk)) for (const segment of nodes(track.trkseg)) add(words(track.name), segment.trkpt)
  for (const route of nodes(root.rte)) add(words(route.name), route.rtept)
  return { kind: 'GPX', shapes, skipped }
}

const DEEPEST = 12

/** Source: OGC KML 2.2: placemarks in documents and folders, with polygons, rings, lines, and recorded tracks. */
function kml(root: Node): FoundGround {
  const shapes: FoundShape[] = []
  let skipped = 0
  const walk = (node: Node, depth: number) => {
    if (depth > DEEPEST) return
    for (const placemark of nodes(node.Placemark)) skipped += geometries(placemark, words(placemark.name), 0, shapes)
    for (const folder of [...nodes(node.Document), ...nodes(node.Folder)]) walk(folder, depth + 1)
  }
  walk(root, 0)
  return { kind: 'KML', shapes, skipped }
}

function geometries(node: Node, name: string, depth: number, shapes: FoundShape[]): number {
  if (depth > DEEPEST) return 1
  let skipped = all(node.Point).length
  const ring = (holder: unknown) => nodes(holder).flatMap((one) => nodes(one.LinearRing)).map((one) => asRing(coordinates(one.coordinates)).places)
  for (const polygon of nodes(node.Polygon)) {
    const [outer] = ring(polygon.outerBoundaryIs)
    if (!outer || outer.length < 3) skipped++
    else shapes.push({ name, kind: 'ring', places: outer, holes: ring(polygon.innerBoundaryIs).filter((hole) => hole.length >= 3) })
  }
  const lines = [...nodes(node.LineString), ...nodes(node.LinearRing)].map((one) => coordinates(one.coordinates))
  const tracks = nodes(node.Track).map((one) => all(one.coord).map((coord) => place(words(coord).split(/\s+/))))
  for (const line of [...lines, ...tracks].map(asRing)) {
    if (line.places.length < 3) skipped++
    else shapes.push({ name, ...line, holes: [] })
  }
  return [...nodes(node.MultiGeometry), ...nodes(node.MultiTrack)].reduce((sum, one) => sum + geometries(one, name, depth + 1, shapes), skipped)
}

const place = ([lon, lat]: readonly string[]): Position => [Number(lon), Number(lat)]
const coordinates = (value: unknown): readonly Position[] => words(value).split(/\s+/).filter((one) => one !== '').map((one) => place(one.split(',')))
