import { defineStore } from 'pinia'
import type { ToolDocument } from '#core/calibration/equipmentDocument'
import type { Calibration, Equipment } from '#shared/schemas/equipment'
import type { Area, LedgerRow } from '#shared/schemas/ground'
import type { Product } from '#shared/schemas/product'

/** What the crew keeps that every job draws on: equipment with its calibrations, labels, and the areas of a site. */
export const useRoomsStore = defineStore('rooms', () => {
  const equipment = shallowRef<readonly Equipment[]>([])
  const calibrations = shallowRef<readonly Calibration[]>([])
  const products = shallowRef<readonly Product[]>([])
  const areas = shallowRef<readonly Area[]>([])
  /** What was put down on the site in hand. */
  const history = shallowRef<readonly LedgerRow[]>([])
  /** Whether the shelves were read at all since the page was opened. */
  const loaded = ref(false)
  const tools = computed(() => equipment.value.flatMap(({ document }): readonly ToolDocument[] => (document.kind === 'tool' ? [document] : [])))

  /** Reads the shelves anew; what can't be read stays as it was. */
  async function load() {
    const [machines, kept, labels] = await Promise.all([
      $fetch<readonly Equipment[]>('/api/rooms/equipment'), $fetch<readonly Calibration[]>('/api/rooms/calibrations'), $fetch<readonly Product[]>('/api/rooms/products'),
    ])
    equipment.value = machines
    calibrations.value = kept
    products.value = labels
    loaded.value = true
  }

  async function loadAreas(siteId: string | null) {
    areas.value = siteId === null ? [] : await $fetch<readonly Area[]>('/api/rooms/areas', { query: { siteId } })
    // The sheet stands without its history; its checks follow when it is there.
    history.value = siteId === null ? [] : await $fetch<readonly LedgerRow[]>(`/api/sites/${siteId}/ledger`).catch(() => [])
    return areas.value
  }
  return { equipment, calibrations, products, areas, history, tools, loaded, load, loadAreas }
})
