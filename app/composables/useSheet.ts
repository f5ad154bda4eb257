import type { InjectionKey } from 'vue'
import { composeSheet, type ApplicationSheet } from '#core/jobsheet/applicationSheet'
import type { ApplicationDocument } from '#core/jobsheet/document'
import type { FieldProblem } from '#core/jobsheet/fieldReader'
import { openWorkingBook } from '#core/working/working'

/** The sheet in hand: the document as typed, everything worked out from it, and how to change a field by its path. */
export interface SheetContext {
  readonly document: ComputedRef<ApplicationDocument>
  readonly sheet: ComputedRef<ApplicationSheet>
  readonly today: ComputedRef<string>
  readonly locked: ComputedRef<boolean>
  readonly problemAt: (path: string) => FieldProblem | undefined
  readonly set: (path: string, value: unknown) => void
  /** Opens what hides a field and puts the cursor into it. */
  readonly go: (path: string) => void
  /** Folded parts of the sheet that stand open, by path. */
  readonly opened: Set<string>
}

const key: InjectionKey<SheetContext> = Symbol('sheet')

/** Makes the core's sheet reactive and gives it to the components below. */
export function provideSheet(document: ComputedRef<ApplicationDocument>, change: (document: ApplicationDocument) => void, locked: ComputedRef<boolean>): SheetContext {
  const crew = useCrewStore()
  const today = computed(() => crew.today())
  const sheet = computed(() => composeSheet(document.value, today.value))
  const problems = computed(() => new Map(sheet.value.problems.toReversed().map((problem) => [problem.path, problem])))
  const opened = reactive(new Set<string>())

  async function go(path: string) {
    for (const section of sectionsOf(path)) opened.add(section)
    await nextTick()
    const field = window.document.querySelector<HTMLElement>(`[data-path="${path}"]`) ?? window.document.querySelector<HTMLElement>(`[data-path^="${path}"]`)
    field?.focus()
    field?.scrollIntoView({ block: 'nearest' })
  }

  const context: SheetContext = {
    document, sheet, today, locked, opened, go,
    problemAt: (path) => problems.value.get(path),
    set: (path, value) => { if (!locked.value) change(withValue(document.value, path, value)) },
  }
  provide(key, context)
  useWorkingPages(() => composeWith(document.value, today.value), computed(() => figureNames(document.value)))
  return context
}

export function useSheet(): SheetContext {
  const context = inject(key)
  if (!context) throw new Error('no sheet is provided above this component')
  return context
}

/** The folds of the sheet that a path lies in. */
function sectionsOf(path: string): readonly string[] {
  const [first = '', second = ''] = path.split('.')
  return first === 'lawns' || first === 'products' ? [`${first}.${second}`] : [`${first}.${second}`, first]
}

function composeWith(document: ApplicationDocument, today: string) {
  const book = openWorkingBook()
  composeSheet(document, today, book)
  return book.pages()
}

/** A copy of a document with one field changed, everything else shared. */
export function withValue<T>(node: T, path: string, value: unknown): T {
  const [head, ...rest] = path.split('.')
  if (head === undefined || head === '') return value as T
  const next = rest.length === 0 ? value : withValue((node as Record<string, unknown>)[head], rest.join('.'), value)
  if (Array.isArray(node)) return node.map((item, index) => (String(index) === head ? next : item)) as T
  return { ...node, [head]: next }
}
