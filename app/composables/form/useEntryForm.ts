import { withValue } from '#core/shape/paths'
import { fieldReader, type FieldReader } from '#core/quantity/fieldReader'
import { fieldsUnder, type FieldTable } from '#core/quantity/figureField'
import type { LibraryKind } from '#shared/schemas/library'

interface EntryFormOptions<Stored, Draft, Read> {
  readonly draftOf: (stored: Stored) => Draft
  /** The figures of its document. */
  readonly fields?: (draft: Draft) => FieldTable
  /** What the core makes of the draft; what is wrong lands in the reader. */
  readonly read: (draft: Draft, fields: FieldReader) => Read
}

/**
 * One entry of the library as a form: fields bound by path, read by the core at every change. Call it before
 * anything is awaited.
 */
export function useEntryForm<
  Stored extends { readonly id: string; readonly version: number },
  Draft extends { readonly version: number },
  Read,
>(
  kind: LibraryKind,
  id: string,
  { draftOf, read, fields = () => ({}) }: EntryFormOptions<Stored, Draft, Read>,
) {
  const row = useEntry<Stored, Draft>(kind, id, draftOf)
  const result = computed(() => {
    if (!row.draft.value) return undefined
    const fields = fieldReader()
    return { value: read(row.draft.value, fields), problems: fields.problems }
  })
  const form = provideForm({
    document: () => row.draft.value,
    fields: () => (row.draft.value ? fieldsUnder('document', fields(row.draft.value)) : {}),
    problems: () => result.value?.problems ?? [],
    change: (path, value) => {
      if (row.draft.value) row.change(withValue(row.draft.value, path, value))
    },
  })
  return { ...row, form, result: computed(() => result.value?.value) }
}
