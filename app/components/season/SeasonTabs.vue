<script setup lang="ts">
/** The pages of the season. */
const route = useRoute()
const TABS = [
  { label: 'A lawn', to: '/season', icon: 'i-lucide-trees' },
  { label: 'All lawns', to: '/season/board', icon: 'i-lucide-layout-list' },
  { label: 'Programs', to: '/season/programs', icon: 'i-lucide-list-checks' },
  { label: 'To buy', to: '/season/buying', icon: 'i-lucide-shopping-cart' },
  { label: 'Weather', to: '/season/stations', icon: 'i-lucide-thermometer' },
] as const
/** Where the other pages are found; a week is planned from the board. */
const UNDER: Readonly<Record<string, readonly string[]>> = { '/season/board': ['/season/week'] }
const isAt = (to: string) => [to, ...(UNDER[to] ?? [])].some((path) => route.path.startsWith(path))
const items = computed(() => {
  const elsewhere = TABS.slice(1).some(({ to }) => isAt(to))
  return TABS.map((tab) => ({ ...tab, active: tab.to === '/season' ? !elsewhere : isAt(tab.to) }))
})
/** On a phone they are wider than the screen: the one that is open is in view. */
const bar = useTemplateRef<HTMLElement>('bar')
onMounted(() =>
  bar.value
    ?.querySelector('[data-active], [aria-current="page"]')
    ?.scrollIntoView({ inline: 'center', block: 'nearest' }),
)
</script>

<template>
  <div ref="bar">
    <UNavigationMenu
      class="overflow-x-auto border-b border-(--rule) px-4"
      orientation="horizontal"
      variant="link"
      highlight
      aria-label="Pages of the season"
      :items="items"
      :ui="{ item: 'flex-none', linkLabel: 'overflow-visible' }"
    />
  </div>
</template>
