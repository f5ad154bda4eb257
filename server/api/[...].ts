import { failure } from '../http/failure'

/** Without this an unknown API address would be answered with the page. */
export default defineEventHandler(() => {
  throw failure('not-found', 'There is nothing at this address.')
})
