<script setup lang="ts">
/** On a phone: four places and the rest, at the thumb. */
const emit = defineEmits<{ find: []; keys: []; newCrew: [] }>()
const route = useRoute()
const more = ref(false)
// Fetched when it is first pressed; from then on it may slide in and out.
const seen = ref(false)
watch(
  () => route.fullPath,
  () => {
    more.value = false
  },
)
const isHere = (to: string) => route.path.startsWith(to)
function openMore() {
  seen.value = true
  more.value = true
}
</script>

<template>
  <div class="bar">
    <nav aria-label="Places">
      <ul>
        <li v-for="{ name, to, icon } in THUMB_PLACES" :key="to">
          <NuxtLink :to="to" :aria-current="isHere(to) ? 'page' : undefined">
            <UIcon :name="icon" class="size-[22px]" />{{ name }}</NuxtLink
          >
        </li>
        <li>
          <ULink
            raw
            :aria-expanded="more"
            :aria-current="MORE_PLACES.some(({ to }) => isHere(to)) ? 'page' : undefined"
            @click="openMore"
          >
            <UIcon name="i-lucide-ellipsis" class="size-[22px]" />More</ULink
          >
        </li>
      </ul>
    </nav>
    <LazyMorePlaces
      v-if="seen"
      v-model:open="more"
      @find="emit('find')"
      @keys="emit('keys')"
      @new-crew="emit('newCrew')"
    />
  </div>
</template>

<style scoped>
.bar {
  position: fixed;
  inset: auto 0 0;
  z-index: 30;
  height: var(--thumb-bar);
  background: var(--sheet);
  border-top: 1.5px solid var(--ink);
  padding-bottom: env(safe-area-inset-bottom);
}
ul {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
}
li > * {
  width: 100%;
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  gap: 3px;
  min-height: 60px;
  font-size: 12.5px;
  color: var(--soft);
}
li > [aria-current] {
  color: var(--ink);
  font-weight: 700;
}
</style>
