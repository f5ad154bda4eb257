<script setup lang="ts">
import { SYSTEM_UNITS, UNIT_SYSTEMS } from '#core/quantity/systems'

/** Whose data this is, who is signed in, units, theme, and the way to what is needed seldom. */
const emit = defineEmits<{ find: []; keys: []; newCrew: []; done: [] }>()
const crew = useCrewStore()
const own = useSelfStore()
const colorMode = useColorMode()
const phone = usePhone()
const crews = computed(() => [
  ...(crew.choice?.all ?? []).map(({ id, name }) => ({ value: id, text: name })),
  { value: 'new', text: 'Start an empty crew …' },
])
const systems = UNIT_SYSTEMS.map((value) => ({ value, text: SYSTEM_UNITS[value].name }))
const themes = THEMES.map((value) => ({ value, text: value }))

async function changeCrew(id: string) {
  emit('done')
  if (id === 'new') return emit('newCrew')
  await crew.change(id)
  await navigateTo('/today')
}
function leaveFor(what: 'find' | 'keys') {
  emit('done')
  if (what === 'find') emit('find')
  else emit('keys')
}
</script>

<template>
  <div class="space-y-3">
    <ChoiceField label="Crew" :value="crew.organization?.id ?? ''" :choices="crews" @change="changeCrew" />
    <p class="small">
      <NuxtLink v-if="own.person && !own.open" to="/you" class="way-out">{{ own.person.name }}</NuxtLink>
      <span v-if="own.person && !own.open" class="soft">, {{ crew.choice?.role }}</span>
      <span v-else class="soft">open here, no sign-in</span>
    </p>
    <RadioField label="Units" :value="crew.units" :choices="systems" @change="crew.setUnits" />
    <RadioField
      label="Theme"
      :value="colorMode.preference"
      :choices="themes"
      @change="colorMode.preference = $event"
    />
    <div class="grid gap-1">
      <UButton variant="ghost" icon="i-lucide-settings" label="Settings" to="/settings" />
      <UButton variant="ghost" icon="i-lucide-scale" label="Rules" to="/rules" />
      <UButton variant="ghost" icon="i-lucide-search" label="Find" @click="leaveFor('find')">
        <template v-if="!phone" #trailing><UKbd class="ms-auto" value="Ctrl K" /></template>
      </UButton>
      <UButton v-if="!phone" variant="ghost" icon="i-lucide-keyboard" label="Keys" @click="leaveFor('keys')">
        <template #trailing><UKbd class="ms-auto" value="?" /></template>
      </UButton>
    </div>
  </div>
</template>
