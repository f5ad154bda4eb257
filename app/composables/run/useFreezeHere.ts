import { workOutJob, type JobQuestion } from '#core/job/workOutJob'
import { TRADE_UNITS } from '#core/quantity/nutrientText'
import { DEFAULT_HOUSE } from '#core/house'
import { isShared } from '#core/job/route/commonMix'
import { freezePlan } from '#core/run/freezePlan'
import { conditionLimits } from '#core/conditions/conditionLimits'
import type { FrozenPlan } from '#core/run/runEvent'
import { openWorkingBook } from '#core/working/working'
import type { JobApplication } from '#shared/schemas/job'

/** What a run is begun from, as it stands on this device. */
interface FreezeFrom {
  readonly site: string
  readonly siteId: string | null
  readonly plannedFor: string
  readonly applications: readonly Pick<JobApplication, 'id' | 'document'>[]
}

/**
 * Freezes a plan on this device, by the same composer and the same library the server would take: for a run
 * that begins without a network.
 */
export function useFreezeHere() {
  const crew = useCrewStore()
  const store = useLibraryStore()
  const { library, house } = useJobLibrary()
  return async (job: FreezeFrom, applicationId: string): Promise<FrozenPlan | undefined> => {
    const index = job.applications.findIndex(({ id }) => id === applicationId)
    const document = job.applications[index]?.document
    const question: JobQuestion = {
      applications: job.applications,
      day: crew.today(),
      house: house.value,
      library: library.value,
      ledger: store.ledger,
      planned: store.planned,
      weather: store.weather,
    }
    const book = openWorkingBook()
    const worked = workOutJob(question, book, index)[index]
    if (!document || !worked) return undefined
    const limits =
      library.value &&
      conditionLimits(document, store.products, store.areas, house.value.units ?? TRADE_UNITS)
    const common =
      isShared(document) && job.plannedFor !== ''
        ? await commonHere(job.plannedFor, applicationId).catch(() => undefined)
        : undefined
    const { good, acceptable } = house.value ?? DEFAULT_HOUSE
    const tolerance = { ...DEFAULT_HOUSE, good, acceptable }
    return freezePlan(job, document, worked, book.pages(), tolerance, { limits, common })
  }
}

/** Fetched when a run begins that shares its tank: most never do, and a sheet has no use for a day. */
async function commonHere(day: string, applicationId: string) {
  const { commonOfDay } = await import('./commonOfDay')
  return commonOfDay(day, applicationId)
}
