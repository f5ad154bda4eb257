import type { RouteApplication } from '../../job/route/commonMix'
import type { WorkedApplication } from '../../job/workOutJob'
import type { ApplicationDraft } from '../../draft/applicationShape'
import { frozenApplication } from '../freezePlan'
import type { FrozenPlan } from '../runEvent'

/** A job as it stands in the day. */
export interface DayJob {
  readonly id: string
  readonly site: string
  readonly applications: readonly {
    readonly id: string
    readonly document: ApplicationDraft
    readonly state: RouteApplication['state']
    /** What it runs by, or ran by; absent until it is begun. */
    readonly frozen?: FrozenPlan
  }[]
}

/** An application of the day, and what it comes to: as it was frozen, else as it is worked out now. */
export interface DayApplication {
  readonly id: string
  readonly document: ApplicationDraft
  readonly state: RouteApplication['state']
  readonly sheet: WorkedApplication
}

/** @param worked the job's applications as they are worked out now, in their order */
export const daySheets = (
  { applications }: Pick<DayJob, 'applications'>,
  worked: readonly WorkedApplication[],
): readonly DayApplication[] =>
  applications.flatMap(({ id, document, state, frozen }, index) => {
    const sheet = (frozen && frozenApplication(frozen)) ?? worked[index]
    return sheet ? [{ id, document, state, sheet }] : []
  })

/** Those of them whose amounts are known, as a route takes them. */
export const routeApplications = (
  job: Pick<DayJob, 'id' | 'site'>,
  sheets: readonly DayApplication[],
): readonly RouteApplication[] =>
  sheets.flatMap(({ id, document, state, sheet: { request, plan } }) =>
    request && plan
      ? [
          {
            applicationId: id,
            jobId: job.id,
            site: job.site || 'Unnamed site',
            document,
            request,
            plan,
            state,
          },
        ]
      : [],
  )
