/** Why an outcome cannot be worked out; `path` names the entry. */
export interface OutcomeProblem {
  readonly path: 'left' | 'made' | 'treated' | `putIn.${string}` | `apart.${number}`
  readonly message: string
}
