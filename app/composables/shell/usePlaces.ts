import { createSharedComposable, useMediaQuery } from '@vueuse/core'

/** The places that work today; the shell, the palette and the key help all read this list. */
export const PLACES = [
  { name: 'Today', to: '/today', key: 'h', icon: 'i-lucide-sun' },
  { name: 'Jobs', to: '/jobs', key: 'j', icon: 'i-lucide-clipboard-list' },
  { name: 'Season', to: '/season', key: 'y', icon: 'i-lucide-calendar-range' },
  { name: 'Sites', to: '/sites', key: 's', icon: 'i-lucide-map' },
  { name: 'Equipment', to: '/equipment', key: 'e', icon: 'i-lucide-spray-can' },
  { name: 'Products', to: '/products', key: 'b', icon: 'i-lucide-package' },
  { name: 'Records', to: '/records', key: 'r', icon: 'i-lucide-book-open' },
] as const

/** As many as a thumb has room for; the others wait behind More. */
const AT_THE_THUMB: ReadonlySet<string> = new Set(['Today', 'Jobs', 'Sites', 'Equipment'])
export const THUMB_PLACES = PLACES.filter(({ name }) => AT_THE_THUMB.has(name))
export const MORE_PLACES = PLACES.filter(({ name }) => !AT_THE_THUMB.has(name))

/** One thing at a time, and everything important within reach of a thumb. */
export const usePhone = createSharedComposable(() => useMediaQuery('(max-width: 760px)'))
