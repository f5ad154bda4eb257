/** The places that work today; the shell, the palette and the key help all read this list. */
export const PLACES = [
  { name: 'Today', to: '/today', key: 'h' },
  { name: 'Sites', to: '/sites', key: 's' },
  { name: 'Equipment', to: '/equipment', key: 'e' },
  { name: 'Products', to: '/products', key: 'b' },
  { name: 'Jobs', to: '/jobs', key: 'j' },
  { name: 'Records', to: '/records', key: 'r' },
] as const
