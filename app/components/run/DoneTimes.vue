<script setup lang="ts">
import type { DoneTimesTyped } from '#core/run/doneTimes'
import type { DoneTimesEntry } from '~/composables/run/useDoneTimes'

/** Day and times of work that is entered afterwards. */
const { times, asked } = defineProps<{
  times: DoneTimesEntry
  /** Work that had no run of its own: its times are asked for at once. */
  asked: boolean
}>()
const { typed, read } = times
const open = ref(asked)
const take = (fields: Partial<DoneTimesTyped>) => {
  typed.value = { ...typed.value, ...fields }
}
</script>

<template>
  <UCollapsible v-model:open="open">
    <UButton
      v-if="!asked"
      variant="link"
      label="It was done at another time"
      icon="i-lucide-clock"
      :trailing-icon="open ? 'i-lucide-chevron-up' : 'i-lucide-chevron-down'"
    />
    <template #content>
      <fieldset class="pt-1">
        <legend>When it was done</legend>
        <div class="fields items-start">
          <div>
            <DayField label="Day" path="done.day" :day="typed.day" @change="take({ day: $event })" />
            <p v-if="read.problems.day" role="alert" class="wrong">{{ read.problems.day }}</p>
          </div>
          <TextField
            label="From"
            path="done.from"
            placeholder="13:05"
            :text="typed.from"
            :problem="read.problems.from"
            @change="take({ from: $event })"
          />
          <TextField
            label="To"
            path="done.to"
            placeholder="14:30"
            :text="typed.to"
            :problem="read.problems.to"
            @change="take({ to: $event })"
          />
        </div>
        <p class="soft small">
          Left blank: as it was written down. The day alone will do where nobody noted more.
        </p>
      </fieldset>
    </template>
  </UCollapsible>
</template>

<style scoped>
.wrong {
  color: var(--stop);
}
</style>
