<script setup lang="ts">
/** The shell: places on the left, the screen in hand, and what can be reached from anywhere. */
const crew = useCrewStore()
const phone = usePhone()
const placeNav = defineAsyncComponent(() => import('~/components/shell/PlaceNav.vue'))
const thumbBar = defineAsyncComponent(() => import('~/components/shell/ThumbBar.vue'))
const open = reactive({ palette: false, keys: false, newCrew: false })
const commands = useCommands({
  palette: () => {
    open.palette = true
  },
  keys: () => {
    open.keys = true
  },
  newCrew: () => {
    open.newCrew = true
  },
})
useCommandKeys(commands)
const own = useSelfStore()
const outbox = useOutboxStore()
await Promise.all([crew.load(), own.load()])
// What was written down here goes out as soon as somebody is here who may send it.
void outbox.send()
// Fetched when it is first asked for; from then on it may slide in and out.
const working = useWorkingStore()
const workingSeen = ref(false)
watch(
  () => working.open,
  () => {
    workingSeen.value = true
  },
)
const printing = computed(() => useRoute().meta.bare === true)
</script>

<template>
  <div class="shell" :class="{ bare: printing }">
    <component
      :is="phone ? thumbBar : placeNav"
      v-if="!printing"
      class="no-print"
      @find="open.palette = true"
      @keys="open.keys = true"
      @new-crew="open.newCrew = true"
    />
    <div class="min-w-0">
      <OfflineBar v-if="!printing" />
      <EmptyState
        v-if="crew.problem && !crew.organization"
        :words="crew.problem"
        action="Try again"
        @act="crew.load"
      />
      <slot v-else />
    </div>
    <NoticeBar />
    <LazyWorkingDrawer v-if="workingSeen" />
    <LazyFindPalette v-if="open.palette" v-model:open="open.palette" :commands="commands" />
    <LazyKeyHelp v-if="open.keys" v-model:open="open.keys" :commands="commands" />
    <LazyNewCrew v-if="open.newCrew" v-model:open="open.newCrew" />
  </div>
</template>

<style scoped>
.shell {
  display: grid;
  grid-template-columns: 172px minmax(0, 1fr);
  min-height: 100dvh;
  background: var(--paper);
}
.shell.bare {
  display: block;
}
@media (max-width: 760px) {
  .shell {
    display: block;
    padding-bottom: var(--thumb-bar);
  }
  .shell.bare {
    padding-bottom: 0;
  }
}
@media print {
  .shell {
    display: block;
  }
}
</style>
