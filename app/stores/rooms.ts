import { defineStore } from 'pinia'
import type { ToolDocument } from '#core/calibration/equipmentDocument'
import type { Calibration, Equipment } from '#shared/schemas/equipment'
import type { Area, LedgerRow } from '#shared/schemas/ground'
import type { Product } from '#shared/schemas/product'

/**
 * What the crew keeps that every job draws on: equipment with its calibrations, labels, and the areas of a
 * site.
 */
export const useRoomsStore = defineStore('rooms', () => {
  const equipment = shallowRef<readonly Equipment[]>([])
  const calibrations = shallowRef<readonly Calibration[]>([])
  const products = shallowRef<readonly Product[]>([])
  const areas = shallowRef<readonly Area[]>([])
  /** What was put down on the site in hand. */
  const history = shallowRef<readonly LedgerRow[]>([])
  /**
   * Whether what lies on the lawns could be read: without it intervals and limits of the year are not
   * checked.
   */
  const ledger = ref<'reading' | 'read' | 'missing'>('read')
  /** Whether the shelves were read at all since the page was opened. */
  const loaded = ref(false)
  const tools = computed(() =>
    equipment.value.flatMap(({ document }): readonly ToolDocument[] =>
      document.kind === 'tool' ? [document] : [],
    ),
  )

  /** Reads the shelves anew; what can't be read stays as it was. */
  async function load() {
    const [machines, kept, labels] = await Promise.all([
      $fetch<readonly Equipment[]>('/api/rooms/equipment'),
      $fetch<readonly Calibration[]>('/api/rooms/calibrations'),
      $fetch<readonly Product[]>('/api/rooms/products'),
    ])
    equipment.value = machines
    calibrations.value = kept
    products.value = labels
    loaded.value = true
  }

  async function loadAreas(siteId: string | null) {
    ledger.value = 'reading'
    try {
      areas.value =
        siteId === null ? [] : await $fetch<readonly Area[]>('/api/rooms/areas', { query: { siteId } })
    } catch (error) {
      ledger.value = 'missing'
      throw error
    }
    // The sheet stands without its history, and says so.
    const rows =
      siteId === null
        ? []
        : await $fetch<readonly LedgerRow[]>(`/api/sites/${siteId}/ledger`).catch(() => undefined)
    history.value = rows ?? []
    ledger.value = rows ? 'read' : 'missing'
    return areas.value
  }
  return { equipment, calibrations, products, areas, history, ledger, tools, loaded, load, loadAreas }
})
