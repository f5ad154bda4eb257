<script setup lang="ts">
import { tellingReasons } from '#core/conditions/whichDay'
import { dayText } from '#core/calendar/dayText'

/** Which day: the best of those forecast, each with its reason; the job is moved by a press. */
const props = defineProps<{ jobId: string; day: string }>()
const emit = defineEmits<{ choose: [day: string] }>()
const open = ref(false)
const { answer: days, problem } = useAnswer(() => (open.value ? questions.jobDays(props.jobId) : undefined))
const BEST = 3
const best = computed(() => (days.value?.scores ?? []).filter(({ score }) => score > 0).slice(0, BEST))
/** The day it is planned for, where that is none of the best. */
const own = computed(() =>
  best.value.some(({ on }) => on === props.day)
    ? undefined
    : days.value?.scores.find(({ on }) => on === props.day),
)
const percent = (share: number) => `${Math.round(share * 100)} %`
function choose(on: string) {
  emit('choose', on)
  open.value = false
}
/** Its arithmetic, beside the answer: the drawer belongs to the sheet. */
const lines = computed(() => (days.value?.working ?? []).flatMap((page) => page.lines))
</script>

<template>
  <UPopover v-model:open="open" :content="{ align: 'start' }">
    <UButton label="Which day?" icon="i-lucide-cloud-sun" size="sm" />
    <template #content>
      <div class="w-[26rem] max-w-[92vw] space-y-2 p-4">
        <p v-if="problem" role="alert">{{ problem }}</p>
        <p v-else-if="!days" role="status" class="soft">Looking at the forecast …</p>
        <template v-else>
          <p class="soft small">
            {{ days.station ? `By the forecast of ${days.station}.` : 'No station tells this site.' }}
          </p>
          <p v-if="best.length === 0">
            {{
              days.scores.length === 0 ? days.waiting : 'No day that is forecast fits: look again tomorrow.'
            }}
          </p>
          <ol>
            <li v-for="one in best" :key="one.on" class="rule-b day">
              <strong class="font-semibold whitespace-nowrap tabular-nums">{{ percent(one.score) }}</strong>
              <span class="min-w-0">
                <strong class="font-semibold">{{ shortWeekday(one.on) }}</strong>
                <span class="small soft block">{{ tellingReasons(one).join('; ') }}</span>
              </span>
              <UButton
                v-if="one.on !== day"
                size="sm"
                label="Move here"
                :aria-label="`Move it to ${dayText(one.on)}`"
                @click="choose(one.on)"
              />
              <span v-else class="small soft">planned</span>
            </li>
          </ol>
          <p v-if="own" class="small">
            {{ shortWeekday(own.on) }}, as planned: {{ percent(own.score) }};
            {{ tellingReasons(own).join('; ') }}.
          </p>
          <p v-if="best.length > 0" class="small">{{ days.waiting }}</p>
          <InlineWorking :lines="lines" />
        </template>
      </div>
    </template>
  </UPopover>
</template>

<style scoped>
.day {
  display: grid;
  grid-template-columns: 52px minmax(0, 1fr) auto;
  gap: 8px;
  padding: 6px 0;
  align-items: start;
}
</style>
