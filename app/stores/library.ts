import { defineStore } from 'pinia'
import type { ToolDocument } from '#core/calibration/equipmentShape'
import type { Calibration, Equipment } from '#shared/schemas/equipment'
import type { HeldByMachine } from '#core/rules/reading'
import type { PlannedRow } from '#core/season/ledger'
import type { DayConditions } from '#core/weather/dayConditions'
import type { Anchor } from '#core/ground/geodesy'
import type { Area, LedgerRow, Site } from '#shared/schemas/ground'
import type { Product } from '#shared/schemas/product'

/**
 * What the crew keeps that every job draws on: equipment with its calibrations, labels, and the areas of a
 * site.
 */
export const useLibraryStore = defineStore('library', () => {
  const equipment = shallowRef<readonly Equipment[]>([])
  const calibrations = shallowRef<readonly Calibration[]>([])
  const products = shallowRef<readonly Product[]>([])
  /** What machines last held. */
  const held = shallowRef<readonly HeldByMachine[]>([])
  const areas = shallowRef<readonly Area[]>([])
  /** What was put down on the site in hand. */
  const ledger = shallowRef<readonly LedgerRow[]>([])
  /** What other planned jobs are going to put down there. */
  const planned = shallowRef<readonly PlannedRow[]>([])
  /** What the station of the site in hand says of the day in hand. */
  const weather = shallowRef<DayConditions>()
  /** Where the plan of the site in hand lies on the earth; undefined where it is not anchored. */
  const anchor = shallowRef<Anchor>()
  /**
   * Whether what lies on the lawns could be read: without it intervals and limits of the year are not
   * checked.
   */
  const ledgerState = ref<'reading' | 'read' | 'missing'>('read')
  /** Whether the library was read at all since the page was opened. */
  const loaded = ref(false)
  const tools = computed(() =>
    equipment.value.flatMap(({ document }): readonly ToolDocument[] =>
      document.kind === 'tool' ? [document] : [],
    ),
  )

  /** Reads the library anew; what can't be read stays as it was. */
  async function load() {
    const [machines, kept, labels, last] = await Promise.all([
      $fetch<readonly Equipment[]>(crewUrl('/library/equipment')),
      $fetch<readonly Calibration[]>(crewUrl('/library/calibrations')),
      $fetch<readonly Product[]>(crewUrl('/library/products')),
      // What was read ahead on a phone before it knew this stands without it.
      $fetch<readonly HeldByMachine[]>(crewUrl('/equipment/held')).catch(() => []),
    ])
    equipment.value = machines
    calibrations.value = kept
    products.value = labels
    held.value = last
    loaded.value = true
  }

  /** @param jobId the job in hand: its own work is not that of another */
  async function loadAreas(siteId: string | null, jobId = '') {
    ledgerState.value = 'reading'
    try {
      areas.value =
        siteId === null ? [] : await $fetch<readonly Area[]>(crewUrl('/library/areas'), { query: { siteId } })
    } catch (error) {
      ledgerState.value = 'missing'
      throw error
    }
    // The sheet stands without its place on the earth: lanes then have no files for a map program.
    const site =
      siteId === null
        ? undefined
        : await $fetch<Site>(crewUrl(`/library/sites/${siteId}`)).catch(() => undefined)
    anchor.value = site?.document.anchor
    // The sheet stands without its ledger, and says so.
    const rows =
      siteId === null
        ? ([[], []] as const)
        : await Promise.all([
            $fetch<readonly LedgerRow[]>(crewUrl(`/sites/${siteId}/ledger`)),
            $fetch<readonly PlannedRow[]>(crewUrl(`/sites/${siteId}/planned`), { query: { job: jobId } }),
          ]).catch(() => undefined)
    ledger.value = rows?.[0] ?? []
    planned.value = rows?.[1] ?? []
    ledgerState.value = rows ? 'read' : 'missing'
    return areas.value
  }
  /** Reads the weather of a site; without it the sheet stands, and its rules are silent. */
  async function loadWeather(siteId: string | null, on: string) {
    const asked = siteId === null ? undefined : crewUrl(`/sites/${siteId}/weather`)
    const found = asked
      ? await $fetch<DayConditions | null>(asked, { query: { on } }).catch(() => null)
      : null
    weather.value = found ?? undefined
  }
  return {
    equipment,
    calibrations,
    products,
    held,
    areas,
    ledger,
    planned,
    weather,
    anchor,
    ledgerState,
    tools,
    loaded,
    load,
    loadWeather,
    loadAreas,
  }
})
