import * as v from 'valibot'
import type { Job } from '#shared/schemas/job'
import { Day } from '#core/shape/texts'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'

/** A day in the address; anything else is nowhere. */
export function readDay(text: string | undefined): string {
  const day = v.safeParse(Day, text)
  if (!day.success) throw failure('not-found', 'There is no such day.')
  return day.output
}

/**
 * Puts the jobs of a day in driving order. Whoever orders a day that has changed meanwhile gets the day as it
 * is.
 */
export async function putInOrder(
  repositories: Repositories,
  day: string,
  order: readonly string[],
): Promise<readonly Job[]> {
  return repositories.transaction(async (inside) => {
    const jobs = await inside.jobs.ofDay(day)
    if (jobs.length !== order.length || jobs.some(({ id }) => !order.includes(id)))
      throw failure('changed-elsewhere', 'The jobs of this day were changed elsewhere: look again.', jobs)
    await inside.jobs.setDrive(order)
    return inside.jobs.ofDay(day)
  })
}
