/** Pages that are there before anybody is signed in. */
export const isDoor = (path: string): boolean => /^\/(sign-in|join)$/.test(path)

/** Where one wanted to go before being asked to sign in: a page of ours, never an address of others. */
export const placeAfter = (next: unknown): string =>
  typeof next === 'string' && /^\/(?!\/)/.test(next) && !next.includes('\\') ? next : '/today'

/** The path of each field that is wrong, for a form; what belongs to no field comes back as words. */
export function fieldErrors(error: unknown): {
  readonly fields: readonly { readonly name: string; readonly message: string }[]
  readonly words: string
} {
  const issues = errorIssues(error)
  const fields = issues
    .filter(({ path }) => path !== '')
    .map(({ path, message }) => ({ name: path.split('.').at(-1) ?? path, message }))
  return { fields, words: fields.length > 0 ? '' : errorText(error) }
}
