import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { lawn, part, spraying, sprayerCourse, spreading } from '../../test/support/documents'
import { readTable } from '../../test/support/readTable'
import { EMPTY_LIBRARY } from '../../test/support/worked'
import { lawnFromArea, noteFromLabel, type LibraryArea, type LibraryProduct } from '../draft/fromLibrary'
import type { ApplicationDraft } from '../draft/applicationShape'
import { blankArea } from '../ground/blankArea'
import type { GrassName } from '../ground/grasses'
import { workOutJob } from '../job/workOutJob'
import { blankProductDocument, blankRateLine } from '../label/blankProduct'
import type { ProductKind } from '../label/productDocument'

const DAY = '2026-05-06'
const [HELD_ON, HELD_AT] = ['2026-05-01', '2026-05-01T15:00:00.000Z']
const COURSE = sprayerCourse('2026-05-01', typed('100', 'ft'), typed('5', 'ft'), '3', [typed('1', 'gal')])
const setOf = (text = ''): Readonly<Record<string, string | undefined>> =>
  Object.fromEntries(text.split(';').map((pair) => pair.split('=')))

function saved(id: string, text: string, method: 'spray' | 'spread'): LibraryProduct {
  const set = setOf(text)
  const blank = blankProductDocument(`line ${id}`, 'us-1000')
  const rate = method === 'spray' ? typed('3', 'fl oz/1000 ft2') : typed('3', 'lb/1000 ft2')
  const form = method === 'spray' ? ('solution' as const) : ('granule' as const)
  return {
    id,
    version: 1,
    name: `Product ${id}`,
    document: {
      ...blank,
      form,
      kind: (set.kind ?? 'fertilizer') as ProductKind,
      analysis: { ...blank.analysis, fe: typed(set.fe ?? '', '%'), p2o5: typed(set.p2o5 ?? '', '%') },
      ...(set.harms && { harms: [set.harms as GrassName] }),
      lines: [{ ...blankRateLine(`line ${id}`, form, 'us-1000'), rate }],
    },
  }
}

function application(
  area: LibraryArea,
  product: LibraryProduct,
  method: 'spray' | 'spread',
  machine: string,
) {
  const note = noteFromLabel(
    product,
    product.document.lines[0]!,
    `note ${product.id}`,
    typed('1', method === 'spray' ? 'fl oz' : 'oz'),
  )
  const lawns = [lawnFromArea(area, 'yes')]
  const draft: ApplicationDraft =
    method === 'spray'
      ? spraying(lawns, [note], { tank: typed('4', 'gal'), calibration: COURSE })
      : spreading(lawns, [note], {})
  return { ...draft, [method]: { ...draft[method], source: { id: machine, version: 1 } } }
}

test.each(readTable('cleanOut.csv', import.meta.url))('$name: $words', (row) => {
  const method = row.method as 'spray' | 'spread'
  const next = saved('next', row.next ?? '', method)
  const was = row.was === 'same' ? next : saved('was', row.was ?? '', method)
  const set = setOf(row.area)
  const blank = blankArea('part', 'us-1000')
  const area: LibraryArea = {
    id: 'area',
    version: 1,
    name: 'Front',
    document: {
      ...blank,
      parts: lawn('Front', [part('add', 'rectangle', { length: '40', width: '25' })]).parts,
      use: set.use === 'bed' ? 'bed' : 'turf',
      grass: set.grass
        ? [{ id: 'g', species: set.grass as GrassName, share: typed('100', '%'), cultivar: '' }]
        : [],
    },
  }
  const now = application(area, next, method, 'machine')
  const before = application(area, was, method, row.where === 'other' ? 'another' : 'machine')
  const held =
    row.where === 'record'
      ? {
          equipmentId: 'machine',
          on: HELD_ON,
          at: HELD_AT,
          products: [was.name],
          sourceIds: [was.id],
          cleaned: row.cleaned ?? '',
        }
      : {
          equipmentId: 'machine',
          on: HELD_ON,
          at: HELD_AT,
          products: [],
          sourceIds: [],
          cleaned: row.cleaned ?? '',
        }
  const never = setOf(row.was).never === 'yes'
  const library = {
    ...EMPTY_LIBRARY,
    areas: [area],
    products: [next, was],
    held: [held],
    mixes: never
      ? [{ id: 'm', a: was.name, b: next.name, verdict: 'never' as const, words: '', on: DAY }]
      : [],
  }
  const applications = [...(row.where === 'record' ? [] : [before]), now].map((document, i) => ({
    id: `application ${i}`,
    document,
  }))
  const found = workOutJob({ applications, day: DAY, library })
    .at(-1)!
    .checks.filter(({ code }) => code === 'clean-out-first')
  expect(found.map(({ level }) => level).join(', ')).toBe(row.expect)
  if (found[0]) expect(found[0].message).toMatch(/^Clean it out first: .* (three times|brush)/)
})
