import { SaxesParser } from 'saxes'
import { err, ok, type Result } from '../../result'
import type { Position } from '../geodesy'
import { asRing } from './checkPlaces'
import type { FileProblem, FoundGround, FoundShape } from './foundGround'

/**
 * What gathers shapes while a file goes by: told of every element as it opens and closes, with the names of
 * those around it.
 */
interface ShapeReader {
  readonly open: (name: string, attributes: Readonly<Record<string, string>>) => void
  /**
   * @param text what stood directly in the element
   * @param around names of the elements it lies in, the nearest last
   */
  readonly close: (name: string, text: string, around: readonly string[]) => void
  readonly found: () => FoundGround
}

/** Elements lie no deeper than this in any file of places. */
const DEEPEST = 60
/** The elements whose text matters; the rest is not kept. */
const SPOKEN = new Set(['name', 'coordinates', 'coord'])

/**
 * Outlines and tracks of a KML or GPX text, read as it goes by. A document type or entities are refused
 * before anything is read: no such file needs them, and they are how a small file grows without end or
 * reaches for others.
 */
export function readXml(text: string): Result<FoundGround, FileProblem> {
  if (/<!(DOCTYPE|ENTITY)/i.test(text))
    return err({
      kind: 'hostile',
      message:
        'This file declares a document type or entities. No track or outline needs them, so it is not ' +
        'read: export it again from a program you trust.',
    })
  const parser = new SaxesParser({ xmlns: false, position: true })
  const around: string[] = []
  let spoken = ''
  let reader: ShapeReader | undefined
  let problem: FileProblem | undefined
  parser.on('opentag', ({ name, attributes }) => {
    const local = name.slice(name.indexOf(':') + 1)
    if (around.length === 0) {
      reader = local === 'gpx' ? gpxReader() : local === 'kml' ? kmlReader() : undefined
      if (!reader) problem ??= { kind: 'notRead', message: 'This XML is neither KML nor GPX.' }
    }
    if (around.length > DEEPEST)
      problem ??= {
        kind: 'notRead',
        message: 'This file nests its elements without end: it is no file of places.',
      }
    around.push(local)
    spoken = ''
    reader?.open(local, attributes)
  })
  parser.on('text', (part) => {
    if (SPOKEN.has(around.at(-1) ?? '')) spoken += part
  })
  parser.on('cdata', (part) => {
    if (SPOKEN.has(around.at(-1) ?? '')) spoken += part
  })
  parser.on('closetag', () => {
    const name = around.pop() ?? ''
    reader?.close(name, spoken.trim(), around)
    spoken = ''
  })
  parser.on('error', () => {
    problem ??= {
      kind: 'notRead',
      message:
        `This is not complete XML (line ${parser.line}): the file may have been cut short. Export it ` +
        'again.',
    }
  })
  parser.write(text).close()
  if (problem) return err(problem)
  return reader ? ok(reader.found()) : err({ kind: 'notRead', message: 'There is nothing in this file.' })
}

/** Source: GPX 1.1 schema: tracks of segments, routes, single waypoints. */
function gpxReader(): ShapeReader {
  const shapes: FoundShape[] = []
  let [skipped, name, points] = [0, '', [] as Position[]]
  const add = () => {
    const line = asRing(points)
    if (line.places.length < 3) skipped++
    else shapes.push({ name, ...line, holes: [] })
    points = []
  }
  return {
    open: (tag, attributes) => {
      if (tag === 'trk' || tag === 'rte') [name, points] = ['', []]
      else if (tag === 'trkpt' || tag === 'rtept')
        points.push([Number(attributes.lon), Number(attributes.lat)])
      else if (tag === 'wpt') skipped++
    },
    close: (tag, text, around) => {
      if (tag === 'name' && (around.at(-1) === 'trk' || around.at(-1) === 'rte')) name = text
      else if (tag === 'trkseg' || tag === 'rte') add()
    },
    found: () => ({ kind: 'GPX', shapes, skipped }),
  }
}

/**
 * Source: OGC KML 2.2: placemarks with polygons, rings, lines and recorded tracks, however they are grouped.
 */
function kmlReader(): ShapeReader {
  const shapes: FoundShape[] = []
  let skipped = 0
  let name = ''
  /** Of the placemark in hand; its name may come after its ground. */
  let own: Omit<FoundShape, 'name'>[] = []
  let outer: readonly Position[] | undefined
  let holes: (readonly Position[])[] = []
  let track: Position[] = []
  const line = (places: readonly Position[]) => {
    const read = asRing(places)
    if (read.places.length < 3) skipped++
    else own.push({ ...read, holes: [] })
  }
  const coordinates = (text: string, around: readonly string[]) => {
    const places = text
      .split(/\s+/)
      .filter((one) => one !== '')
      .map((one) => place(one.split(',')))
    const [boundary, holder] = around.slice(-2)
    if (holder === 'Point') skipped++
    else if (holder === 'LinearRing' && boundary === 'outerBoundaryIs') outer = asRing(places).places
    else if (holder === 'LinearRing' && boundary === 'innerBoundaryIs') holes.push(asRing(places).places)
    else line(places)
  }
  return {
    open: (tag) => {
      if (tag === 'Placemark') [name, own] = ['', []]
      else if (tag === 'Polygon') [outer, holes] = [undefined, []]
      else if (tag === 'Track') track = []
    },
    close: (tag, text, around) => {
      if (tag === 'name' && around.at(-1) === 'Placemark') name = text
      else if (tag === 'coordinates') coordinates(text, around)
      else if (tag === 'coord') track.push(place(text.split(/\s+/)))
      else if (tag === 'Track') line(track)
      else if (tag === 'Polygon') {
        if (!outer || outer.length < 3) skipped++
        else own.push({ kind: 'ring', places: outer, holes: holes.filter((hole) => hole.length >= 3) })
      } else if (tag === 'Placemark') {
        for (const shape of own) shapes.push({ name, ...shape })
        own = []
      }
    },
    found: () => ({ kind: 'KML', shapes, skipped }),
  }
}

const place = ([lon, lat]: readonly string[]): Position => [Number(lon), Number(lat)]
