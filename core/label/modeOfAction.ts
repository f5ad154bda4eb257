import type { ActiveGroup } from './groups/activeGroup'
import { FUNGICIDE_GROUPS } from './groups/fungicides'
import { HERBICIDE_GROUPS } from './groups/herbicides'
import { INSECTICIDE_GROUPS } from './groups/insecticides'

/**
 * The committees that publish the groups. The rows were read one by one from outside, from memory, and no
 * group was found wrong; a label's own print goes before them.
 */
const GROUP_SOURCES = {
  fungicide: 'after the FRAC code list 2024; read row by row in November 2026, no group found wrong',
  insecticide: 'after the IRAC classification 2024; read row by row in November 2026, no group found wrong',
  herbicide: 'after the HRAC classification 2024; read row by row in November 2026, no group found wrong',
} as const
type GroupSource = keyof typeof GROUP_SOURCES

export interface FoundGroup extends ActiveGroup {
  readonly source: (typeof GROUP_SOURCES)[GroupSource]
}

const listed = (rows: readonly ActiveGroup[], from: GroupSource): readonly FoundGroup[] =>
  rows.map((row) => ({ ...row, source: GROUP_SOURCES[from] }))

/** Every active of the shipped table, by name. */
export const ACTIVE_GROUPS: readonly FoundGroup[] = [
  ...listed(FUNGICIDE_GROUPS, 'fungicide'),
  ...listed(INSECTICIDE_GROUPS, 'insecticide'),
  ...listed(HERBICIDE_GROUPS, 'herbicide'),
].toSorted((a, b) => a.name.localeCompare(b.name))

/** A name as words: hyphens, commas and brackets part them as blanks do. */
const wordsOf = (name: string): readonly string[] =>
  name
    .toLowerCase()
    .split(/[^\p{L}\d.]+/u)
    .filter(Boolean)

/** Salts, esters and isomers: what a label adds to the name of an active without changing what it does. */
const ADDED_WORDS = new Set(
  (
    'acid salt salts ester esters amine sodium potassium calcium ammonium diammonium lithium choline zinc ' +
    'aluminum aluminium tris al dimethylamine dimethylammonium diethanolamine monoethanolamine ' +
    'isopropylamine isopropylammonium triisopropanolamine triethylamine diglycolamine dma ipa dga bapma ' +
    'methyl ethyl butyl hexyl ethylhexyl isooctyl octyl butoxyethyl butotyl bee meptyl methylheptyl ' +
    'glycine 1 2 r s p d l rs hydrochloride hcl racemic technical equivalent'
  ).split(' '),
)
const ISOMERS = new Set(['r', 's', 'rs', 'd', 'l', 'p', 'dl'])

/** The name without what a label adds to it. */
function bare(words: readonly string[]): readonly string[] {
  const first = words.length > 1 && ISOMERS.has(words[0]!) ? 1 : 0
  const last = words.findLastIndex((word) => !ADDED_WORDS.has(word))
  return words.slice(first, Math.max(first, last) + 1)
}

const key = (words: readonly string[]) => words.join(' ')
const byName = new Map(ACTIVE_GROUPS.map((row) => [key(wordsOf(row.name)), row]))
/** By bare names, those that mean one group. */
const byBareName = new Map<string, FoundGroup>()
for (const row of ACTIVE_GROUPS) {
  const name = key(bare(wordsOf(row.name)))
  const known = byBareName.get(name)
  if (!known || known.group === row.group) byBareName.set(name, known ?? row)
}
/** Other names that labels print for an active of the table. */
const ALSO: Readonly<Record<string, string>> = {
  mcpp: 'mecoprop',
  'mcpp p': 'mecoprop',
  '2.4 d': '2,4-D',
  'metalaxyl m': 'mefenoxam',
  pcnb: 'quintozene',
  fosetyl: 'fosetyl-aluminium',
  'aluminum tris o ethyl phosphonate': 'fosetyl-aluminium',
  'phosphite salts': 'potassium phosphite',
  'mono and dipotassium salts of phosphorous acid': 'phosphorous acid',
  propyzamide: 'pronamide',
  'dimethyl tetrachloroterephthalate': 'DCPA',
  btk: 'Bacillus thuringiensis',
  benfluralin: 'benefin',
  'monosodium acid methanearsonate': 'MSMA',
}

/**
 * The published group of an active as a label prints it: capitals, hyphens, salts, esters and isomers are no
 * matter. A name that stands in the table as it is goes first.
 * @returns undefined where the table does not know it
 */
export function groupOf(active: string): FoundGroup | undefined {
  const words = wordsOf(active)
  if (words.length === 0) return undefined
  const [whole, plain] = [key(words), key(bare(words))]
  const also = ALSO[whole] ?? ALSO[plain]
  return byName.get(whole) ?? (also ? byName.get(key(wordsOf(also))) : undefined) ?? byBareName.get(plain)
}
