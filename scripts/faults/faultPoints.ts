import ts from 'typescript'

/** One deliberate fault: a span of a file and what stands there instead. */
export interface Fault {
  readonly file: string
  readonly from: number
  readonly to: number
  readonly line: number
  /** What sort of token it is of: no sort is left out of a sample. */
  readonly sort: string
  readonly instead: string
}

/** Another operator of the same kind, one or two of each. */
const OTHER_OPERATORS: Readonly<Partial<Record<ts.SyntaxKind, readonly string[]>>> = {
  [ts.SyntaxKind.LessThanToken]: ['<=', '>'],
  [ts.SyntaxKind.LessThanEqualsToken]: ['<', '>'],
  [ts.SyntaxKind.GreaterThanToken]: ['>=', '<'],
  [ts.SyntaxKind.GreaterThanEqualsToken]: ['>', '<'],
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: ['!=='],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: ['==='],
  [ts.SyntaxKind.PlusToken]: ['-'],
  [ts.SyntaxKind.MinusToken]: ['+'],
  [ts.SyntaxKind.AsteriskToken]: ['/'],
  [ts.SyntaxKind.SlashToken]: ['*'],
  [ts.SyntaxKind.PercentToken]: ['*'],
  [ts.SyntaxKind.AsteriskAsteriskToken]: ['*'],
  [ts.SyntaxKind.AmpersandAmpersandToken]: ['||'],
  [ts.SyntaxKind.BarBarToken]: ['&&'],
  [ts.SyntaxKind.QuestionQuestionToken]: ['&&'],
}
/** Calls that have a twin which says the opposite. */
const OTHER_CALLS: Readonly<Record<string, string>> = {
  min: 'max',
  max: 'min',
  floor: 'ceil',
  ceil: 'floor',
  round: 'floor',
  some: 'every',
  every: 'some',
  find: 'findLast',
  findLast: 'find',
  filter: 'slice',
}

/** Every place of a file where one token can be wrong; types and imports say nothing at run time. */
export function faultPoints(file: string, text: string): readonly Fault[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true)
  const faults: Fault[] = []
  const add = (node: ts.Node, sort: string, instead: string) => {
    const from = node.getStart(source)
    const { line } = source.getLineAndCharacterOfPosition(from)
    faults.push({ file, from, to: node.end, line: line + 1, sort, instead })
  }
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return
    if (ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node)) return
    if (ts.isBinaryExpression(node))
      for (const instead of OTHER_OPERATORS[node.operatorToken.kind] ?? [])
        add(node.operatorToken, 'operator', instead)
    if (ts.isPrefixUnaryExpression(node)) {
      const operand = text.slice(node.operand.getStart(source), node.operand.end)
      if (node.operator === ts.SyntaxKind.MinusToken) add(node, 'sign', operand)
      if (node.operator === ts.SyntaxKind.ExclamationToken) add(node, 'not', `(${operand})`)
    }
    if (ts.isNumericLiteral(node)) add(node, 'number', node.text === '0' ? '1' : `(${node.text} * 1.5 + 1)`)
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node))
      if (!isName(node)) add(node, 'string', node.text === '' ? `'fault'` : `''`)
    if (node.kind === ts.SyntaxKind.TrueKeyword) add(node, 'boolean', 'false')
    if (node.kind === ts.SyntaxKind.FalseKeyword) add(node, 'boolean', 'true')
    if (ts.isConditionalExpression(node) || ts.isIfStatement(node)) {
      const condition = ts.isIfStatement(node) ? node.expression : node.condition
      add(condition, 'condition', `!(${condition.getText(source)})`)
    }
    if (ts.isCallExpression(node) && ts.isPropertyAccessExpression(node.expression)) {
      const other = OTHER_CALLS[node.expression.name.text]
      if (other) add(node.expression.name, 'call', other)
    }
    // Words between figures: what is said is part of what is promised.
    if (ts.isTemplateHead(node) || ts.isTemplateMiddleOrTemplateTail(node))
      if (/[A-Za-z]{3}/.test(node.text))
        add(node, 'words', node.getText(source).replace(/[A-Za-z]{3,}/, 'fault'))
    ts.forEachChild(node, visit)
  }
  visit(source)
  return faults
}

/** A key of an object, or the name of a member: the compiler holds those. */
const isName = (node: ts.Node): boolean =>
  (ts.isPropertyAssignment(node.parent) && node.parent.name === node) ||
  ts.isElementAccessExpression(node.parent) ||
  ts.isLiteralTypeNode(node.parent)
