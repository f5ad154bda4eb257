<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { parseDay } from '#core/calendar/parseDay'

/** A calendar day, shown and typed without doubt: 6 May 2026. */
const props = defineProps<{ label: string; day: string; path?: string; locked?: boolean; bare?: boolean }>()
const emit = defineEmits<{ change: [day: string] }>()
const crew = useCrewStore()
const id = useId()
const typed = ref<string>()
const problem = ref<string>()
const text = computed(() => typed.value ?? (props.day === '' ? '' : dayText(props.day)))

function settle() {
  if (typed.value === undefined) return
  const blank = typed.value.trim() === ''
  const read = parseDay(typed.value, Number(crew.today().slice(0, 4)))
  problem.value = blank || read.ok ? undefined : read.error.message
  if (blank || read.ok) {
    typed.value = undefined
    emit('change', read.ok ? read.value : '')
  }
}
</script>

<template>
  <div class="min-w-0">
    <label :for="id" :class="bare ? 'sr-only' : 'soft small block'">{{ label }}</label>
    <input
      :id="id"
      :class="bare ? 'bare-day' : 'field'"
      :value="text"
      :data-path="path"
      :disabled="locked"
      :placeholder="bare ? 'no day yet' : 'e.g. 6 May'"
      autocomplete="off"
      maxlength="40"
      :aria-invalid="problem ? 'true' : undefined"
      :aria-describedby="problem ? `${id}-note` : undefined"
      @input="typed = ($event.target as HTMLInputElement).value"
      @blur="settle"
    />
    <p v-if="problem" :id="`${id}-note`" class="small" style="color: var(--stop)" role="alert">
      {{ problem }}
    </p>
  </div>
</template>

<style scoped>
.bare-day {
  background: transparent;
  border: 0;
  border-bottom: 1px dashed transparent;
  width: 8.5em;
  min-height: 24px;
  color: var(--soft);
}
.bare-day:hover:not(:disabled) {
  border-bottom-color: var(--rule-strong);
}
</style>
