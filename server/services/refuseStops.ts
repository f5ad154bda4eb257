import type { WorkedApplication } from '#core/job/workOutJob'
import { isReady } from '#core/job/workOutJob'
import { failure } from '../http/failure'
import type { Refusal } from '#shared/schemas/refusal'

/**
 * What was refused, told beside the failure so that it can be written down after the transaction is undone.
 */
export class Refused extends Error {
  constructor(
    readonly refusal: Pick<Refusal, 'code' | 'message'>,
    readonly answer: Error,
  ) {
    super(refusal.message)
  }
}

/** An application whose amounts can't be worked out is neither planned nor run. Fails with `not-ready`. */
export function refuseUnready(worked: WorkedApplication | undefined, path: string): void {
  if (!worked || !isReady(worked))
    throw failure('not-ready', [
      {
        path,
        message:
          'Something on the sheet is still missing or wrong: a job is planned and run when its amounts can ' +
          'be worked out.',
      },
    ])
}

/**
 * Nothing is planned or run against a stop, whatever the screen that asked showed. Fails with the first one.
 */
export function refuseStops({ checks }: WorkedApplication): void {
  const stop = checks.find(({ level }) => level === 'stop')
  if (!stop) return
  const { code, message } = stop
  throw new Refused({ code, message }, failure('not-ready', `A stop must be cleared first: ${message}`))
}
