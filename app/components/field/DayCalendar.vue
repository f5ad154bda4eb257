<script setup lang="ts">
import { parseDate } from '@internationalized/date'

/** A month to press a day in; opens on the day that is set, else on today's month. */
const props = defineProps<{ day: string; today: string }>()
const emit = defineEmits<{ change: [day: string] }>()
const set = computed(() => (props.day ? parseDate(props.day) : undefined))
</script>

<template>
  <div>
    <UCalendar
      class="p-2"
      :model-value="set"
      :default-placeholder="set ?? parseDate(today)"
      :week-starts-on="1"
      @update:model-value="emit('change', String($event ?? ''))"
    />
  </div>
</template>
