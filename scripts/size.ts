import { execFileSync } from 'node:child_process'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { parse } from 'vue/compiler-sfc'
import { keepFigures } from '../bench/figures'
import { PROJECT } from './setup/paths.mjs'

/**
 * How large the house is: lines that hold code and lines that hold only a comment, tests and CSV apart, and
 * statements as TypeScript's parser counts them; by room. `npm run size -- --keep` writes docs/bench.json.
 */
interface Size {
  code: number
  comments: number
  statements: number
  tests: number
  csv: number
}
const NOTHING: Readonly<Size> = { code: 0, comments: 0, statements: 0, tests: 0, csv: 0 }

const ROOMS = /^((core|server|shared|demo|bench|scripts|test)(\/[^/]+(?=\/))?|app\/[^/]+(\/[^/]+(?=\/))?)/
const IS_TEST = /^test\/|\.test\.ts$/
const IS_CODE = /\.(ts|mjs|cjs|vue|css)$/

const sizes = new Map<string, Size>()
for (const path of tracked()) {
  const room = ROOMS.exec(path)?.[0] ?? 'top'
  const size = sizes.get(room) ?? { ...NOTHING }
  sizes.set(room, size)
  const text = readFileSync(join(PROJECT, path), 'utf8')
  if (path.endsWith('.csv')) size.csv += lineCount(text)
  else if (IS_TEST.test(path)) size.tests += codeIn(path, text).code
  else {
    const counted = codeIn(path, text)
    size.code += counted.code
    size.comments += counted.comments
    size.statements += counted.statements
  }
}

const total = sumOf([...sizes.values()])
const byRoom = Object.fromEntries([...sizes].filter(([, { code }]) => code > 0).sort())
for (const [room, size] of [...Object.entries(byRoom), ['all', total] as const])
  process.stdout.write(
    `${room.padEnd(28)} code ${column(size.code)} comments ${column(size.comments)}` +
      ` statements ${column(size.statements)} tests ${column(size.tests)} csv ${column(size.csv)}\n`,
  )
const commentShare = Number((total.comments / (total.code + total.comments)).toFixed(4))
const testShare = Number((total.tests / total.code).toFixed(3))
process.stdout.write(`comments are ${commentShare} of the lines, tests ${testShare} of the code\n`)
if (process.argv.includes('--keep'))
  keepFigures({
    size: {
      ...total,
      commentShare,
      testShare,
      codeByRoom: Object.fromEntries(Object.entries(byRoom).map(([room, { code }]) => [room, code])),
    },
  })

/** Code files and tables that git knows, but for what is measured data of the sample. */
function tracked(): readonly string[] {
  return execFileSync('git', ['ls-files'], { cwd: PROJECT, encoding: 'utf8' })
    .split('\n')
    .filter((path) => (IS_CODE.test(path) || path.endsWith('.csv')) && existsSync(join(PROJECT, path)))
}

function codeIn(path: string, text: string): Pick<Size, 'code' | 'comments' | 'statements'> {
  if (path.endsWith('.css')) return plainCode(text, /\/\*[\s\S]*?\*\//g)
  if (!path.endsWith('.vue')) return scriptCode(text)
  const { script, scriptSetup, template, styles } = parse(text).descriptor
  return sumOf([
    ...[script, scriptSetup].flatMap((block) => (block ? [scriptCode(block.content)] : [])),
    ...(template ? [plainCode(template.content, /<!--[\s\S]*?-->/g)] : []),
    ...styles.map(({ content }) => plainCode(content, /\/\*[\s\S]*?\*\//g)),
  ])
}

/** Lines that a token of the language touches are code; the others that are not blank are comment. */
function scriptCode(text: string): Size {
  const source = ts.createSourceFile('file.ts', text, ts.ScriptTarget.Latest, true)
  const held = new Set<number>()
  let statements = 0
  const visit = (node: ts.Node): void => {
    if (ts.isStatement(node) && !ts.isBlock(node)) statements += 1
    if (node.getChildCount(source) === 0 && node.kind !== ts.SyntaxKind.EndOfFileToken) {
      const first = source.getLineAndCharacterOfPosition(node.getStart(source)).line
      const last = source.getLineAndCharacterOfPosition(node.getEnd()).line
      for (let line = first; line <= last; line++) held.add(line)
    }
    // What documents a node hangs on it as a child of its own; it is a comment all the same.
    for (const child of node.getChildren(source)) if (!ts.isJSDoc(child)) visit(child)
  }
  visit(source)
  return { ...NOTHING, code: held.size, comments: lineCount(text) - held.size, statements }
}

function plainCode(text: string, comment: RegExp): Size {
  const code = lineCount(text.replace(comment, ''))
  return { ...NOTHING, code, comments: lineCount(text) - code }
}

function lineCount(text: string): number {
  return text.split('\n').filter((line) => line.trim() !== '').length
}

function sumOf(parts: readonly Partial<Size>[]): Size {
  const sum = { ...NOTHING }
  for (const part of parts)
    for (const name of Object.keys(NOTHING) as (keyof Size)[]) sum[name] += part[name] ?? 0
  return sum
}

function column(count: number): string {
  return String(count).padStart(6)
}
