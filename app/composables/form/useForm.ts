import type { InjectionKey } from 'vue'
import type { FieldProblem } from '#core/quantity/fieldReader'
import { valueAt } from '#core/shape/paths'
import { fieldAt, type FieldTable, type FigureField } from '#core/quantity/figureField'

/**
 * What a field needs of the form it stands in: how to change it, what is wrong with it, whether it is locked.
 */
export interface FormContext {
  readonly locked: ComputedRef<boolean>
  /** What a path holds; undefined where nothing does. */
  readonly valueAt: (path: string) => unknown
  /** What is told of a figure's field. */
  readonly fieldAt: (path: string) => FigureField | undefined
  readonly problemAt: (path: string) => FieldProblem | undefined
  readonly set: (path: string, value: unknown) => void
  /** Opens what hides a field and puts the cursor into it. */
  readonly go: (path: string) => Promise<void>
  /** Folded parts of the form that stand open, by path. */
  readonly opened: Set<string>
}

const key: InjectionKey<FormContext> = Symbol('form')

interface FormOptions {
  /** What is filled in; undefined until it has come. */
  readonly document: () => object | undefined
  /** Its figures, by their paths. */
  readonly fields: () => FieldTable
  readonly problems: () => readonly FieldProblem[]
  readonly change: (path: string, value: unknown) => void
  readonly locked?: () => boolean
  /** The folds that a path lies in. */
  readonly sectionsOf?: (path: string) => readonly string[]
  /** Brings the part of the screen into view that a path lies in. */
  readonly reveal?: (path: string) => void
}

/** A part of the screen that is fetched only now stands there within this, ms. */
const LONGEST_WAIT_MS = 2000

/** The field of a path, or the first below it; waited for, unless somebody goes elsewhere meanwhile. */
async function focusable(path: string): Promise<HTMLElement | undefined> {
  const begun = performance.now()
  const places = [document.activeElement, document.body]
  while (performance.now() - begun < LONGEST_WAIT_MS && places.includes(document.activeElement)) {
    const field =
      document.querySelector<HTMLElement>(`[data-path="${path}"]`) ??
      document.querySelector<HTMLElement>(`[data-path^="${path}"]`)
    if (field) return field
    await new Promise(requestAnimationFrame)
  }
  return undefined
}

/** Gives the fields below their form. */
export function provideForm({
  document: filled,
  fields,
  problems,
  change,
  locked = () => false,
  sectionsOf = () => [],
  reveal,
}: FormOptions): FormContext {
  const byPath = computed(
    () =>
      new Map(
        problems()
          .toReversed()
          .map((problem) => [problem.path, problem]),
      ),
  )
  const opened = reactive(new Set<string>())
  const isLocked = computed(locked)

  async function go(path: string) {
    reveal?.(path)
    for (const section of sectionsOf(path)) opened.add(section)
    await nextTick()
    const field = await focusable(path)
    field?.focus()
    field?.scrollIntoView({ block: 'nearest' })
  }

  const context: FormContext = {
    locked: isLocked,
    opened,
    go,
    valueAt: (path) => valueAt(filled(), path),
    fieldAt: (path) => fieldAt(fields(), path),
    problemAt: (path) => byPath.value.get(path),
    set: (path, value) => {
      if (!isLocked.value) change(path, value)
    },
  }
  provide(key, context)
  return context
}

export function useForm(): FormContext {
  const context = useFormIfAny()
  if (!context) throw new Error('no form is provided above this component')
  return context
}

/** The form around a field; undefined for one that stands alone. */
export const useFormIfAny = (): FormContext | undefined => inject(key, undefined)
