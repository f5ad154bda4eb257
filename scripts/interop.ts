import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { polygonArea } from '../core/ground/combineOutlines'
import { readGroundText } from '../core/ground/files/readGroundText'
import { writeGeoJson, writeGpx, writeKml, type WrittenArea } from '../core/ground/files/writeGround'
import { ringToPlan, type Anchor } from '../core/ground/geodesy'
import { ringArea } from '../core/ground/plane'
import { readSiteMap, writtenAreas } from '../core/ground/siteMap'
import { sampleSites } from '../demo/sampleSites'
import { ensureReaders } from './setup/debian.mjs'

/**
 * Shows that programs which know nothing of us read every map file we write and find the same areas: GDAL
 * (area on the ellipsoid by SpatiaLite) and libxml2; and that we read what GDAL writes. Ends with an error
 * when one does not.
 */
const AGREE = 1e-4
const folder = mkdtempSync(join(tmpdir(), 'hectarum-interop-'))
const run = (program: string, args: readonly string[]) =>
  execFileSync(program, [...args], { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] })
const failures: string[] = []
let compared = 0

function agree(what: string, ours: number, theirs: number) {
  compared++
  const off = Math.abs(theirs / ours - 1)
  process.stdout.write(
    `  ${what}: ours ${ours.toFixed(2)} m2, theirs ${theirs.toFixed(2)} m2, apart by ` +
      `${off.toExponential(1)}\n`,
  )
  if (!(off <= AGREE)) failures.push(what)
}

/** Areas by name as GDAL finds them in a file. */
function theirAreas(file: string, layer: string, geometry: string): ReadonlyMap<string, number> {
  const text = run('ogrinfo', [
    '-ro',
    '-q',
    '-dialect',
    'SQLite',
    '-sql',
    `SELECT name, ST_Area(${geometry}, 1) AS m2 FROM "${layer}"`,
    file,
  ])
  return new Map(
    [...text.matchAll(/name \(String\) = (.*)\n\s+m2 \(Real\) = ([\d.e+-]+)/gi)].map(([, name = '', m2]) => [
      name,
      Number(m2),
    ]),
  )
}

function compare(site: string, areas: readonly WrittenArea[], anchor: Anchor) {
  process.stdout.write(`${site}\n`)
  const files = {
    geojson: writeGeoJson(areas, anchor),
    kml: writeKml(site, areas, anchor),
    gpx: writeGpx(site, areas, anchor),
  }
  for (const [format, text] of Object.entries(files)) {
    const path = join(folder, `plan.${format}`)
    writeFileSync(path, text)
    if (format !== 'geojson') run('xmllint', ['--noout', path])
    // A GPX track has no holes: its rings are joined again, those inside others taken away.
    const found =
      format === 'gpx'
        ? theirAreas(path, 'tracks', 'ST_BuildArea(geometry)')
        : theirAreas(path, format === 'kml' ? site : 'plan', 'geometry')
    for (const { name, net } of areas)
      agree(`${format.padEnd(7)} ${name}`, polygonArea(net), found.get(name) ?? Number.NaN)
  }
  for (const format of ['KML', 'GPX'] as const) {
    const path = join(folder, `theirs.${format.toLowerCase()}`)
    rmSync(path, { force: true })
    const as =
      format === 'GPX'
        ? ['-nlt', 'MULTILINESTRING', '-lco', 'FORCE_GPX_TRACK=YES', '-dsco', 'GPX_USE_EXTENSIONS=YES']
        : []
    run('ogr2ogr', [
      '-f',
      format,
      path,
      join(folder, 'plan.geojson'),
      '-where',
      `OGR_GEOMETRY='MULTIPOLYGON'`,
      ...as,
    ])
    const read = readGroundText(readFileSync(path, 'utf8'), 0)
    if (!read.ok) {
      failures.push(`${site}: our reading of their ${format}: ${read.error.message}`)
      continue
    }
    const [first] = areas
    const own = read.value.shapes.filter(({ name }) => name === first?.name)
    const size = (places: (typeof own)[number]['places']) => ringArea(ringToPlan(places, anchor))
    const outer = own.map(
      ({ places, holes }) => size(places) - holes.reduce((sum, hole) => sum + size(hole), 0),
    )
    if (first && format === 'KML')
      agree(
        `we read their ${format}, ${first.name}`,
        polygonArea(first.net),
        outer.reduce((sum, one) => sum + one, 0),
      )
    else if (first)
      agree(
        `we read their ${format}, outline of ${first.name}`,
        ringArea(first.net[0]?.[0] ?? []),
        Math.max(...outer),
      )
  }
}

await ensureReaders()
try {
  for (const { name, anchor, areas } of sampleSites()) {
    const written = writtenAreas(readSiteMap(areas, '2026-05-06'))
    if (anchor && written.length > 0) compare(name, written, anchor)
  }
  // Nothing in the sample is as awkward as this: two pieces, a hole, a turned plan, far north, characters XML
  // can't bear.
  const net = [
    [
      [
        [0, 0],
        [120, 0],
        [120, 80],
        [0, 80],
      ],
      [
        [20, 20],
        [20, 60],
        [60, 60],
        [60, 20],
      ],
    ],
    [
      [
        [150, 0],
        [190, 5],
        [170, 60],
      ],
    ],
  ] as const
  compare(
    'Awkward & more',
    [{ id: '1', name: 'North <end>', net, sizeM2: polygonArea(net), sdM2: 1, samples: [[5, 5]] }],
    { lat: 63.4, lon: 10.2, bearing: 33 },
  )
} finally {
  rmSync(folder, { recursive: true, force: true })
}
if (failures.length > 0) {
  process.stderr.write(`Not agreed:\n${failures.join('\n')}\n`)
  process.exitCode = 1
} else process.stdout.write(`All ${compared} areas agree within ${AGREE}.\n`)
