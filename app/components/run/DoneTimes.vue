<script setup lang="ts">
import type { DoneTimesEntry } from '~/composables/run/useDoneTimes'

/** Day and times of work that is entered afterwards. */
const { times } = defineProps<{ times: DoneTimesEntry }>()
const { typed, problems, isAfterwards } = times
const open = ref(isAfterwards.value)
</script>

<template>
  <UCollapsible v-model:open="open">
    <UButton
      v-if="!isAfterwards"
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
            <DayField label="Day" :day="typed.day" @change="typed.day = $event" />
            <p v-if="problems.day" role="alert" class="wrong">{{ problems.day }}</p>
          </div>
          <TextField
            label="From"
            path="doneFrom"
            placeholder="13:05"
            :text="typed.from"
            :problem="problems.from"
            @change="typed.from = $event"
          />
          <TextField
            label="To"
            path="doneTo"
            placeholder="14:30"
            :text="typed.to"
            :problem="problems.to"
            @change="typed.to = $event"
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
