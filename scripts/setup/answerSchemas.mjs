// @ts-check
import ts from 'typescript'

/** @typedef {Record<string, unknown>} Schema */

/** The interface that says what is stored of each kind of the library. */
const ROWS = 'StoredKinds'
const DEFINERS = ['defineRoute', 'defineCrewRoute']

/**
 * What each route answers, read from the type of what its handler returns: nobody writes a type down a second
 * time as a schema. Routes that declare what they answer (files, rows of the library, the contract's) are
 * theirs to tell.
 * @param {string} config the server's tsconfig
 * @param {string} folder where routes are declared
 * @returns {Record<'answers' | 'rows' | 'schemas', Record<string, Schema>>} answers by method and path as
 *   declared, rows by kind, and what both name
 */
export function answerSchemas(config, folder) {
  const parsed = ts.getParsedCommandLineOfConfigFile(
    config,
    { noEmit: true, composite: false, incremental: false },
    { ...ts.sys, onUnRecoverableConfigFileDiagnostic: () => undefined },
  )
  if (!parsed) throw new Error(`${config} can’t be read`)
  // Without the references of the project: what they would be built into need not be there yet.
  const program = ts.createProgram({ rootNames: parsed.fileNames, options: parsed.options })
  const checker = program.getTypeChecker()
  const teller = schemasOf(checker)
  /** @type {Record<string, Schema>} */
  const answers = {}
  /** @type {Record<string, Schema>} */
  let rows = {}
  for (const file of program.getSourceFiles()) {
    if (!file.fileName.startsWith(folder)) continue
    for (const { path, type } of routesIn(file, checker)) answers[path] = teller.schemaOf(type)
    const kinds = file.statements.find((one) => ts.isInterfaceDeclaration(one) && one.name.text === ROWS)
    if (kinds) rows = teller.partsOf(checker.getTypeAtLocation(kinds))
  }
  return { answers, rows, schemas: teller.named }
}

/**
 * @param {ts.SourceFile} file
 * @param {ts.TypeChecker} checker
 */
function routesIn(file, checker) {
  /** @type {{ path: string, type: ts.Type }[]} */
  const found = []
  /** @param {ts.Node} node */
  const visit = (node) => {
    if (ts.isCallExpression(node) && DEFINERS.includes(node.expression.getText(file))) {
      const route = answerOf(node, checker)
      if (route) found.push(route)
    }
    ts.forEachChild(node, visit)
  }
  visit(file)
  return found
}

/**
 * @param {ts.CallExpression} call
 * @param {ts.TypeChecker} checker
 */
function answerOf(call, checker) {
  const [declared] = call.arguments
  if (!declared || !ts.isObjectLiteralExpression(declared)) return undefined
  /** @param {string} name */
  const valueOf = (name) => {
    const property = declared.properties.find((one) => one.name?.getText() === name)
    return property && ts.isPropertyAssignment(property) ? property.initializer : undefined
  }
  const [path, handle] = [valueOf('path'), valueOf('handle')]
  if (!path || !ts.isStringLiteral(path) || !handle || valueOf('answer')) return undefined
  const [signature] = checker.getTypeAtLocation(handle).getCallSignatures()
  const returned = signature && checker.getReturnTypeOfSignature(signature)
  const type = returned && (checker.getAwaitedType(returned) ?? returned)
  return type && { path: path.text, type }
}

/** @param {ts.TypeChecker} checker */
function schemasOf(checker) {
  /** @type {Record<string, Schema>} */
  const named = {}
  /** @type {Map<ts.Type, string>} */
  const names = new Map()

  /**
   * @param {ts.Type} type
   * @returns {Schema}
   */
  function schemaOf(type) {
    if (type.flags & ts.TypeFlags.Null) return { type: 'null' }
    if (type.isStringLiteral() || type.isNumberLiteral()) return { const: type.value }
    if (type.flags & ts.TypeFlags.BooleanLiteral) return { const: checker.typeToString(type) === 'true' }
    if (type.flags & (ts.TypeFlags.StringLike | ts.TypeFlags.TemplateLiteral)) return { type: 'string' }
    if (type.flags & ts.TypeFlags.NumberLike) return { type: 'number' }
    if (type.flags & ts.TypeFlags.BooleanLike) return { type: 'boolean' }
    if (type.isUnion()) return unionOf(type)
    // A branded number is sent as a number.
    if (type.isIntersection()) {
      const plain = type.types.find(
        ({ flags }) => flags & (ts.TypeFlags.NumberLike | ts.TypeFlags.StringLike),
      )
      if (plain) return schemaOf(plain)
    }
    if (type.flags & (ts.TypeFlags.Object | ts.TypeFlags.Intersection)) return kept(type)
    return {}
  }

  /** @param {ts.UnionType} type */
  function unionOf({ types }) {
    const parts = types.filter(({ flags }) => !(flags & ts.TypeFlags.Undefined))
    const told = new Map(parts.map(schemaOf).map((schema) => [JSON.stringify(schema), schema]))
    const schemas = [...told.values()]
    if (schemas.length === 1) return schemas[0] ?? {}
    return schemas.every((schema) => 'const' in schema)
      ? { enum: schemas.map((schema) => schema.const) }
      : { anyOf: schemas }
  }

  /**
   * What has a name of its own stands once, by it.
   * @param {ts.Type} type
   * @returns {Schema}
   */
  function kept(type) {
    const name = (type.aliasSymbol ?? type.getSymbol())?.name ?? ''
    if (
      !/^[A-Z]\w*$/.test(name) ||
      /^(Readonly)?(Array|Map|Set|Record|Pick|Omit|Partial)$/.test(name) ||
      generic(type)
    )
      return shapeOf(type)
    let own = names.get(type)
    if (own === undefined) {
      own = name
      for (let more = 2; own in named; more++) own = `${name}${more}`
      names.set(type, own)
      // Taken before it is told: a type may hold itself.
      named[own] = {}
      named[own] = shapeOf(type)
    }
    return { $ref: `#/components/schemas/${own}` }
  }
  /** @param {ts.Type} type */
  const generic = (type) => (type.aliasTypeArguments ?? []).length > 0

  /**
   * @param {ts.Type} type
   * @returns {Schema}
   */
  function shapeOf(type) {
    // JSON keeps nothing of what a map or a set holds.
    if (/^(Readonly)?(Map|Set)$/.test(type.getSymbol()?.name ?? '')) return { type: 'object' }
    if (checker.isTupleType(type)) {
      const items = checker.getTypeArguments(/** @type {ts.TypeReference} */ (type)).map(schemaOf)
      return { type: 'array', prefixItems: items, minItems: items.length, maxItems: items.length }
    }
    const item = checker.isArrayType(type)
      ? checker.getTypeArguments(/** @type {ts.TypeReference} */ (type))[0]
      : undefined
    if (item) return { type: 'array', items: schemaOf(item) }
    const index = checker.getIndexInfosOfType(type).find(({ keyType }) => keyType.flags & ts.TypeFlags.String)
    const properties = sentOf(type)
    const required = properties.filter((one) => !(one.flags & ts.SymbolFlags.Optional) && !mayBeMissing(one))
    return {
      type: 'object',
      ...(properties.length > 0 && {
        properties: partsOf(type),
      }),
      ...(required.length > 0 && { required: required.map((one) => one.name) }),
      ...(index && { additionalProperties: schemaOf(index.type) }),
    }
  }
  /** JSON leaves out what is undefined. @param {ts.Symbol} property */
  const mayBeMissing = (property) => {
    const type = checker.getTypeOfSymbol(property)
    return type.isUnion() && type.types.some(({ flags }) => flags & ts.TypeFlags.Undefined)
  }
  /** JSON leaves out what can be called. @param {ts.Type} type */
  const sentOf = (type) =>
    checker
      .getPropertiesOfType(type)
      .filter((one) => checker.getTypeOfSymbol(one).getCallSignatures().length === 0)
  /** @param {ts.Type} type */
  const partsOf = (type) =>
    Object.fromEntries(sentOf(type).map((one) => [one.name, schemaOf(checker.getTypeOfSymbol(one))]))
  return { schemaOf, partsOf, named }
}
