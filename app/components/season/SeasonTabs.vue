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
const OTHERS = TABS.slice(1).map(({ to }) => to)
const items = computed(() =>
  TABS.map((tab) => ({
    ...tab,
    active:
      tab.to === '/season' ? !OTHERS.some((to) => route.path.startsWith(to)) : route.path.startsWith(tab.to),
  })),
)
</script>

<template>
  <UNavigationMenu
    class="overflow-x-auto border-b border-(--rule) px-4"
    orientation="horizontal"
    variant="link"
    highlight
    aria-label="Pages of the season"
    :items="items"
    :ui="{ item: 'flex-none', linkLabel: 'overflow-visible' }"
  />
</template>
