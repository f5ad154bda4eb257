<script setup lang="ts">
import type { Component } from 'vue'

/** The places at the left, and at its foot one button for whose data this is and how it is shown. */
const emit = defineEmits<{ find: []; keys: []; newCrew: [] }>()
const route = useRoute()
const isHere = (to: string) => route.path.startsWith(to)
const open = ref(false)
watch(
  () => route.fullPath,
  () => {
    open.value = false
  },
)
// Fetched when it is first pressed; the button stands there before and after.
const crewMenu = shallowRef<Component>()
async function openCrewMenu() {
  crewMenu.value = (await import('~/components/shell/CrewMenu.vue')).default
  open.value = true
}
</script>

<template>
  <div class="nav">
    <p class="brand title">Hectarum</p>
    <nav aria-label="Places">
      <ul>
        <li v-for="{ name, to, icon } in PLACES" :key="to">
          <UButton
            variant="ghost"
            :icon="icon"
            :label="name"
            :to="to"
            :aria-current="isHere(to) ? 'page' : undefined"
            class="place"
          />
        </li>
      </ul>
    </nav>
    <component
      :is="crewMenu"
      v-if="crewMenu"
      v-model:open="open"
      @find="emit('find')"
      @keys="emit('keys')"
      @new-crew="emit('newCrew')"
    />
    <CrewButton v-else aria-haspopup="dialog" :aria-expanded="false" @click="openCrewMenu" />
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
.place {
  width: 100%;
  padding: 9px 15px;
  gap: 12px;
  border-left: 3px solid transparent;
  border-radius: 0;
  font-size: 15px;
  font-weight: 400;
}
.place[aria-current] {
  border-left-color: var(--ink);
  background: var(--tint);
  font-weight: 600;
}
</style>
