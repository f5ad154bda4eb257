import type { Check } from '../rules/check'
import type { WorkedApplication } from './workOutJob'

/** What keeps a job from being planned or begun. */
export interface Hold {
  /** Which application of the visit it is in, from nought. */
  readonly index: number
  readonly message: string
  /** Where it is put right: a field that is missing or wrong, or a stop with its ways out. */
  readonly path: string | undefined
  readonly stop: Check | undefined
}

/**
 * All that is in the way of a visit, as its button says it: what is wrong or missing first, then every stop.
 * @param visit its applications, worked out together
 * @returns empty where nothing is in the way
 */
export const heldBy = (
  visit: readonly Pick<WorkedApplication, 'plan' | 'problems' | 'checks'>[],
): readonly Hold[] =>
  visit.flatMap(({ plan, problems, checks }, index) => {
    const inTheWay = plan ? problems.filter(({ kind }) => kind === 'wrong') : problems
    return [
      ...inTheWay.slice(0, 1).map(({ message, path }): Hold => ({ index, message, path, stop: undefined })),
      ...checks
        .filter(({ level }) => level === 'stop')
        .map((stop): Hold => ({ index, message: stop.message, path: undefined, stop })),
    ]
  })
