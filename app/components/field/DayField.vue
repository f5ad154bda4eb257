<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { parseDay } from '#core/calendar/parseDay'

/** A calendar day: typed as it is said (6 May, tomorrow), or pressed on the calendar beside it. */
const props = defineProps<{ label: string; day?: string; path?: string; locked?: boolean; bare?: boolean }>()
const emit = defineEmits<{ change: [day: string] }>()
const {
  value: set,
  locked,
  change,
} = useBound(
  () => ({ path: props.path, locked: props.locked, own: props.day }),
  () => '',
  (day) => emit('change', day),
)
const crew = useCrewStore()
const typed = ref<string>()
const problem = ref<string>()
const open = ref(false)
const text = computed(() => typed.value ?? (set.value === '' ? '' : dayText(set.value)))

function settle() {
  if (typed.value === undefined) return
  const blank = typed.value.trim() === ''
  const read = parseDay(typed.value, Number(crew.today().slice(0, 4)))
  problem.value = blank || read.ok ? undefined : read.error.message
  if (blank || read.ok) take(read.ok ? read.value : '')
}
function take(day: string) {
  typed.value = undefined
  problem.value = undefined
  open.value = false
  change(day)
}
</script>

<template>
  <LabelledField :label="label" :problem="problem" :bare="bare" style="min-width: 11.5rem">
    <UFieldGroup class="w-full">
      <UInput
        :model-value="text"
        :data-path="path"
        :disabled="locked"
        placeholder="e.g. 6 May"
        autocomplete="off"
        maxlength="40"
        class="w-full"
        @update:model-value="typed = $event"
        @blur="settle"
      />
      <UPopover v-if="!locked" v-model:open="open">
        <UButton icon="i-lucide-calendar" :aria-label="`Calendar for ${label}`" />
        <template #content>
          <LazyDayCalendar :day="set" :today="crew.today()" @change="take" />
        </template>
      </UPopover>
    </UFieldGroup>
  </LabelledField>
</template>
