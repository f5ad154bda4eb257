/** The places that work today; the shell, the palette and the key help all read this list. */
export const PLACES = [
  { name: 'Jobs', to: '/jobs', key: 'j', icon: 'i-lucide-clipboard-list' },
  { name: 'Records', to: '/records', key: 'r', icon: 'i-lucide-book-open-check' },
] as const
