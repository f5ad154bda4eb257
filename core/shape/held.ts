import type { GenericSchema, InferInput, InferOutput } from 'valibot'

/** What a schema lets through, as the rest of the house holds it: nobody writes into it. */
export type Held<Schema extends GenericSchema> = ReadOnly<InferOutput<Schema>>

type ReadOnly<T> = T extends object ? { readonly [K in keyof T]: ReadOnly<T[K]> } : T

/** The schema of a whole document, for whoever stores it or sends it: what it lets through is held. */
export const held = <Schema extends GenericSchema>(
  schema: Schema,
): GenericSchema<InferInput<Schema>, Held<Schema>> =>
  schema as unknown as GenericSchema<InferInput<Schema>, Held<Schema>>
