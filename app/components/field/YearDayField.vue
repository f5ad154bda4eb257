<script setup lang="ts">
import { parseYearDay, yearDayText } from '#core/calendar/yearDay'

/** A day that comes every year, typed as it is said: 1 Dec. Kept as month and day. */
const props = defineProps<{ label: string; day: string; placeholder?: string }>()
const emit = defineEmits<{ change: [day: string] }>()
const typed = ref<string>()
const problem = ref<string>()

function settle() {
  if (typed.value === undefined) return
  const blank = typed.value.trim() === ''
  const read = parseYearDay(typed.value)
  problem.value = blank || read.ok ? undefined : read.error.message
  if (!blank && !read.ok) return
  typed.value = undefined
  emit('change', read.ok ? read.value : '')
}
</script>

<template>
  <TextField
    :label="label"
    :text="typed ?? yearDayText(props.day)"
    :placeholder="placeholder"
    :problem="problem"
    :maxlength="20"
    @change="typed = $event"
    @blur="settle"
  />
</template>
