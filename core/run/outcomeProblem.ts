/** Why an outcome cannot be worked out; `path` names the entry. */
export interface OutcomeProblem {
  readonly path: 'left' | 'made' | 'treated' | 'strips' | `putIn.${string}` | `apart.${number}`
  readonly message: string
}
