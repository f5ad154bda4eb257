<script setup lang="ts">
/** How the ground is gone over: passes of a spreader, and the dial where a person knows better. */
const { document, set, locked } = useSheet()
const passes = [
  ...[1, 2, 3, 4].map((count) => ({
    value: String(count),
    text: count === 1 ? 'one pass' : count === 2 ? 'two, at right angles' : `${count} passes`,
  })),
  { value: 'out', text: 'light ones, until it is out' },
]
const strategy = computed(() =>
  document.value.spread.until === 'out' ? 'out' : String(document.value.spread.passes),
)
const choosePasses = (chosen: string) =>
  set('spread', {
    ...document.value.spread,
    until: chosen === 'out' ? 'out' : '',
    ...(chosen !== 'out' && { passes: Number(chosen) }),
  })
</script>

<template>
  <div v-if="document.method === 'spread'" class="fields">
    <ChoiceField
      path="spread.passes"
      label="Passes"
      :value="strategy"
      :choices="passes"
      :locked="locked"
      @change="choosePasses"
    />
    <TextField path="spread.dial" label="Dial today, if other" />
  </div>
</template>
