import { createSharedComposable, useMediaQuery } from '@vueuse/core'

/** The places that work today; the shell, the palette and the key help all read this list. */
export const PLACES = [
  { name: 'Today', to: '/today', key: 'h', icon: 'i-lucide-sun' },
  { name: 'Jobs', to: '/jobs', key: 'j', icon: 'i-lucide-clipboard-list' },
  { name: 'Sites', to: '/sites', key: 's', icon: 'i-lucide-map' },
  { name: 'Equipment', to: '/equipment', key: 'e', icon: 'i-lucide-spray-can' },
  { name: 'Products', to: '/products', key: 'b', icon: 'i-lucide-package' },
  { name: 'Records', to: '/records', key: 'r', icon: 'i-lucide-book-open' },
] as const

/** As many as a thumb has room for; the others wait behind More. */
const AT_THE_THUMB = 4
export const THUMB_PLACES = PLACES.slice(0, AT_THE_THUMB)
export const MORE_PLACES = PLACES.slice(AT_THE_THUMB)

/** One thing at a time, and everything important within reach of a thumb. */
export const usePhone = createSharedComposable(() => useMediaQuery('(max-width: 760px)'))
