import type { ProductKind } from './productDocument'

/** Kinds whose groups of action are counted together: all herbicides are one family. */
export type GroupFamily = 'fungicide' | 'insecticide' | 'herbicide'

const FAMILIES: Readonly<Partial<Record<ProductKind, GroupFamily>>> = {
  fungicide: 'fungicide',
  insecticide: 'insecticide',
  'pre-emergent herbicide': 'herbicide',
  'post-emergent herbicide': 'herbicide',
}

/** The family a kind of product belongs to; undefined for what has no groups of action. */
export const familyOf = (kind: ProductKind): GroupFamily | undefined => FAMILIES[kind]

/** Codes as they were published before, each with what it is called now. Source: FRAC and HRAC code lists. */
const FORMER: Readonly<Record<GroupFamily, Readonly<Record<string, string>>>> = {
  fungicide: { 33: 'P7', 44: 'BM2' },
  insecticide: {},
  herbicide: {
    A: '1',
    B: '2',
    C1: '5',
    C2: '5',
    7: '5',
    C3: '6',
    D: '22',
    E: '14',
    F1: '12',
    F2: '27',
    G: '9',
    H: '10',
    I: '18',
    K1: '3',
    K2: '23',
    K3: '15',
    8: '15',
    16: '15',
    L: '29',
    20: '29',
    21: '29',
    M: '24',
    N: '15',
    O: '4',
    P: '19',
    Z: '0',
    17: '0',
  },
}

/** What stands around a code on a label and is none. */
const AROUND = /\b(?:mode|of|action|moa|groups?|frac|irac|hrac|wssa|codes?|nos?|numbers?)\b|[#:().]/gi
const APART = /[+,;/&\s]+|\band\b/i
const CODE = /^(?:[A-Z]{0,3}\d{1,2}[A-Z]?|[A-Z]|NC|UN[A-Z]{0,2})$/

/** A sheet asks for the same few texts at every key. */
const read = new Map<string, readonly string[]>()
const MOST_KEPT = 2000

/**
 * The groups of a printed text, each once: "3", "Group 3" and "FRAC 3" are one; "3 and 11" is two; a code
 * that has a newer name counts under it, so that "P07/33" is one. What is no code stands for itself.
 */
export function groupCodes(text: string, family: GroupFamily): readonly string[] {
  const key = `${family} ${text}`
  const known = read.get(key)
  if (known) return known
  const words = text.replaceAll(AROUND, ' ').toUpperCase().split(APART).filter(Boolean)
  const codes = words.filter((word) => CODE.test(word)).map((word) => currentCode(word, family))
  const other = text.trim().toUpperCase()
  const found = codes.length > 0 ? [...new Set(codes)] : other === '' ? [] : [other]
  if (read.size >= MOST_KEPT) read.clear()
  read.set(key, found)
  return found
}

/** "M05" and "M5" are one code. */
function currentCode(word: string, family: GroupFamily): string {
  const code = word.replace(/^([A-Z]*)0+(?=\d)/, '$1')
  return FORMER[family][code] ?? code
}
