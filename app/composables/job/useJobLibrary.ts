import { DEFAULT_HOUSE } from '#core/house'
import type { JobLibrary } from '#core/job/workOutJob'

/**
 * What a job is worked out from besides what was typed: the crew's library, its own rules, its house rules.
 */
export function useJobLibrary() {
  const crew = useCrewStore()
  const libraryStore = useLibraryStore()
  const house = computed(() => ({
    ...(crew.organization?.settings.house ?? DEFAULT_HOUSE),
    units: crew.units,
  }))
  /** Undefined until the library was read: the sheet stands without it. */
  const library = computed((): JobLibrary | undefined => {
    const { local = [], mixes = [] } = crew.organization?.settings ?? {}
    const { areas, products, calibrations, held } = libraryStore
    return libraryStore.loaded ? { areas, products, calibrations, local, mixes, held } : undefined
  })
  return { library, house }
}
