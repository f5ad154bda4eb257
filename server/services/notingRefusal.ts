import type { Repositories } from '../repositories/forOrganization'
import { Refused } from './refuseStops'

/**
 * Does something that a stop may refuse. What was refused is written down once the transaction is undone, and
 * the answer goes on to whoever asked.
 */
export async function notingRefusal<T>(
  { refusals }: Pick<Repositories, 'refusals'>,
  applicationId: string,
  act: () => Promise<T>,
): Promise<T> {
  try {
    return await act()
  } catch (error) {
    if (!(error instanceof Refused)) throw error
    await refusals.note({ applicationId, ...error.refusal })
    throw error.answer
  }
}
