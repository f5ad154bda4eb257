<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import type { NavigationMenuItem } from '@nuxt/ui'

/** The places at the left, and at its foot one button for whose data this is and how it is shown. */
const emit = defineEmits<{ find: []; keys: []; newCrew: [] }>()
const crew = useCrewStore()
const route = useRoute()
const open = ref(false)
watch(
  () => route.fullPath,
  () => {
    open.value = false
  },
)
const items = computed<NavigationMenuItem[]>(() =>
  PLACES.map(({ name, to, icon }) => ({ label: name, to, icon, active: route.path.startsWith(to) })),
)
const initials = computed(() =>
  (crew.organization?.name ?? '')
    .split(/\s+/)
    .slice(0, 2)
    .map(([first = '']) => first.toUpperCase())
    .join(''),
)
const sampleDay = computed(() =>
  crew.organization?.kind === 'sample' ? `sample data, ${dayText(crew.today()).replace(/ \d{4}$/, '')}` : '',
)
</script>

<template>
  <div class="nav">
    <p class="brand title">Hectarum</p>
    <UNavigationMenu
      orientation="vertical"
      aria-label="Places"
      :items="items"
      :ui="{ link: 'px-[15px] py-[9px]' }"
    />
    <UPopover v-model:open="open" :content="{ side: 'top', align: 'start' }">
      <UButton variant="ghost" class="foot">
        <span class="box" aria-hidden="true">{{ initials }}</span>
        <span class="min-w-0">
          <span class="block font-semibold leading-tight">{{ crew.organization?.name }}</span>
          <span v-if="sampleDay" class="small sample block">{{ sampleDay }}</span>
          <span class="sr-only">: crew, units, theme</span>
        </span>
      </UButton>
      <template #content>
        <LazyCrewPanel
          class="w-72 p-4"
          @find="emit('find')"
          @keys="emit('keys')"
          @new-crew="emit('newCrew')"
          @done="open = false"
        />
      </template>
    </UPopover>
  </div>
</template>

<style scoped>
.nav {
  display: flex;
  flex-direction: column;
  border-right: var(--rule-width) solid var(--rule);
  padding-top: 20px;
  position: sticky;
  top: 0;
  height: 100dvh;
}
.brand {
  font-size: 22px;
  padding: 0 18px 14px;
}
.foot {
  margin-top: auto;
  border-top: var(--rule-width) solid var(--rule);
  border-radius: 0;
  text-align: start;
  padding: 10px 14px;
  gap: 10px;
  min-width: 0;
}
.box {
  flex: none;
  border: 1.5px solid var(--ink);
  border-radius: 3px;
  width: 28px;
  height: 28px;
  display: grid;
  place-items: center;
  font-size: 12px;
  font-weight: 700;
}
.sample {
  color: var(--dry);
  font-weight: 600;
}
</style>
