import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, relative } from 'node:path'
import { pathToFileURL } from 'node:url'
import ts from 'typescript'
import { build, type Plugin } from 'vite'
import { keepFigures } from '../bench/figures'
import type { Way } from '../bench/ways'
import { PROJECT } from './setup/paths.mjs'

/**
 * How far a value walks through core from a named field to a named figure (`bench/ways`). Each function of
 * core notes what it is handed; a way is gone with one value in the field and with another, and whatever was
 * handed something else the second time was passed by the value. Told are the functions passed, the folders
 * they lie in, and how often a folder was entered again. `npm run walk -- --keep` writes docs/bench.json.
 */
interface Entered {
  readonly name: string
  readonly handed: string
}
const entered: Entered[] = []
const NOTE = '__passed'
Object.assign(globalThis, {
  [NOTE]: (name: string, handed: readonly unknown[]) => {
    entered.push({ name, handed: written(handed) })
  },
})

const folder = mkdtempSync(join(tmpdir(), 'hectarum-walk-'))
try {
  await build({
    configFile: false,
    logLevel: 'warn',
    root: PROJECT,
    resolve: { alias: { '#shared': join(PROJECT, 'shared'), '#core': join(PROJECT, 'core') } },
    plugins: [noting()],
    ssr: { noExternal: true },
    build: {
      ssr: join(PROJECT, 'bench', 'ways.ts'),
      outDir: folder,
      emptyOutDir: true,
      copyPublicDir: false,
      rollupOptions: { output: { entryFileNames: '[name].mjs' } },
    },
  })
  const { WAYS } = (await import(pathToFileURL(join(folder, 'ways.mjs')).href)) as { WAYS: readonly Way[] }
  const walks = Object.fromEntries(WAYS.map((way) => [`${way.from} to ${way.to}`, walkOf(way)]))
  for (const [name, { functions, folders, enteredAgain, passed }] of Object.entries(walks)) {
    process.stdout.write(
      `${name}: ${functions} functions, ${folders} folders, entered again ${enteredAgain}\n`,
    )
    for (const one of passed) process.stdout.write(`  ${one}\n`)
  }
  if (process.argv.includes('--keep'))
    keepFigures({
      walks: Object.fromEntries(
        Object.entries(walks).map(([name, { passed: _, ...figures }]) => [name, figures]),
      ),
    })
} finally {
  rmSync(folder, { recursive: true, force: true })
}

function walkOf({ go, values, until }: Way) {
  const [one, other] = values.map((value) => {
    entered.length = 0
    go(value)
    const end = entered.findIndex(({ name }) => name === until)
    return end < 0 ? [...entered] : entered.slice(0, end)
  })
  const before = new Set(one?.map(({ name, handed }) => `${name} ${handed}`))
  const passed = [
    ...new Set((other ?? []).flatMap(({ name, handed }) => (before.has(`${name} ${handed}`) ? [] : [name]))),
  ]
  const rooms = passed.map((name) => name.replace(/\/[^/]+$/, ''))
  const entries = rooms.filter((room, i) => room !== rooms[i - 1])
  const folders = new Set(rooms).size
  return { functions: passed.length, folders, enteredAgain: entries.length - folders, passed }
}

/** Makes every named function of core note what it is handed. */
function noting(): Plugin {
  return {
    name: 'noting',
    enforce: 'pre',
    transform(code, id) {
      const path = relative(PROJECT, id)
      if (!/^core\/.*\.ts$/.test(path)) return
      const source = ts.createSourceFile(path, code, ts.ScriptTarget.Latest, true)
      const { transformed } = ts.transform(source, [(context) => (file) => noteIn(file, path, context)])
      const [file] = transformed
      return file && { code: ts.createPrinter().printFile(file), map: null }
    },
  }
}

function noteIn(file: ts.SourceFile, path: string, context: ts.TransformationContext): ts.SourceFile {
  const { factory } = context
  const call = (name: string, parameters: ts.NodeArray<ts.ParameterDeclaration>) =>
    factory.createCallExpression(factory.createIdentifier(NOTE), undefined, [
      factory.createStringLiteral(`${path} ${name}`),
      factory.createArrayLiteralExpression(
        parameters.flatMap((one) => namesIn(one.name)).map((one) => factory.createIdentifier(one)),
      ),
    ])
  const visit = (node: ts.Node): ts.Node => {
    const inside = ts.visitEachChild(node, visit, context)
    if (ts.isFunctionDeclaration(inside) && inside.name && inside.body) {
      const body = [
        factory.createExpressionStatement(call(inside.name.text, inside.parameters)),
        ...inside.body.statements,
      ]
      return factory.updateFunctionDeclaration(
        inside,
        inside.modifiers,
        inside.asteriskToken,
        inside.name,
        inside.typeParameters,
        inside.parameters,
        inside.type,
        factory.createBlock(body, true),
      )
    }
    const made = ts.isVariableDeclaration(inside) ? inside.initializer : undefined
    if (
      ts.isVariableDeclaration(inside) &&
      ts.isIdentifier(inside.name) &&
      made &&
      ts.isArrowFunction(made)
    ) {
      const note = call(inside.name.text, made.parameters)
      const body = ts.isBlock(made.body)
        ? factory.createBlock([factory.createExpressionStatement(note), ...made.body.statements], true)
        : factory.createParenthesizedExpression(factory.createComma(note, made.body))
      return factory.updateVariableDeclaration(
        inside,
        inside.name,
        inside.exclamationToken,
        inside.type,
        factory.updateArrowFunction(
          made,
          made.modifiers,
          made.typeParameters,
          made.parameters,
          made.type,
          made.equalsGreaterThanToken,
          body,
        ),
      )
    }
    return inside
  }
  return ts.visitNode(file, visit) as ts.SourceFile
}

function namesIn(name: ts.BindingName): readonly string[] {
  if (ts.isIdentifier(name)) return [name.text]
  return name.elements.flatMap((element) => (ts.isOmittedExpression(element) ? [] : namesIn(element.name)))
}

/** What was handed over, as text: books of working and readers of fields are no part of it. */
function written(handed: readonly unknown[]): string {
  const open = new Set<unknown>()
  return (
    JSON.stringify(handed, (_, value: unknown) => {
      if (typeof value === 'function') return undefined
      if (typeof value !== 'object' || value === null) return value
      if (open.has(value)) return 'again'
      open.add(value)
      return value instanceof Map || value instanceof Set ? [...value] : value
    }) ?? ''
  )
}
