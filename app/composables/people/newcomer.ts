/** What somebody new types of themselves. */
export interface Newcomer {
  readonly name: string
  readonly signIn: string
  readonly passphrase: string
}
export const BLANK_NEWCOMER: Newcomer = { name: '', signIn: '', passphrase: '' }
