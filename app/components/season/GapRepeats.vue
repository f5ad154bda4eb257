<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import type { GapRepeat } from '#core/program/gapRepeat'
import type { AreaSeason } from '#core/season/areaSeason'
import { openGaps } from '#core/season/coverageLines'

/** Gaps that are open on a lawn: what would close each is asked for when wanted, and becomes a job. */
const props = defineProps<{
  lines: AreaSeason['lines']
  today: string
  areaId: string
  site: { readonly id: string; readonly name: string }
}>()
const person = useSelfStore()
const { planStep } = useIntended()
const open = computed(() => openGaps(props.lines, props.today))
const offers = ref<Readonly<Record<string, readonly GapRepeat[]>>>({})
const problem = ref<string>()
watch(
  () => props.areaId,
  () => {
    offers.value = {}
  },
)
async function look({ what, from }: AreaSeason['lines'][number]) {
  problem.value = undefined
  try {
    const found = await ask(questions.repeats(props.areaId, what, from))
    offers.value = { ...offers.value, [`${what} ${from}`]: found }
  } catch (error) {
    problem.value = errorText(error)
  }
}
const plan = ({ what, productId }: GapRepeat) =>
  planStep(
    { title: what, productId, nitrogen: { text: '', unit: 'lb/1000 ft2' }, from: props.today },
    props.site.id,
    props.site.name,
    [props.areaId],
  )
</script>

<template>
  <ul v-if="open.length > 0" aria-label="Gaps">
    <li v-for="line in open" :key="line.what + line.from" class="rule-b py-2">
      <div class="flex flex-wrap items-baseline gap-x-3">
        <StateMark
          level="warn"
          :words="`${line.what}: nothing since ${line.to ? dayText(line.to) : 'it ended'}`"
        />
        <UButton
          v-if="person.may('work') && !offers[`${line.what} ${line.from}`]"
          variant="link"
          size="sm"
          label="What closes it?"
          @click="look(line)"
        />
      </div>
      <ul class="ms-7">
        <li v-for="offer in offers[`${line.what} ${line.from}`] ?? []" :key="offer.productId" class="offer">
          <span class="min-w-0">
            {{ offer.product }}<template v-if="offer.amount">, {{ offer.amount }}</template>
            <span class="soft small block">{{ offer.reason }}</span>
            <span v-if="offer.against" class="small block">{{ offer.against }}</span>
            <InlineWorking :lines="offer.working" />
          </span>
          <UButton
            variant="link"
            size="sm"
            label="Plan it"
            :aria-label="`Plan it with ${offer.product}`"
            @click="plan(offer)"
          />
        </li>
        <li v-if="offers[`${line.what} ${line.from}`]?.length === 0" class="soft small">
          {{ line.product }} is on no shelf: save its label, or choose another product in a new job.
        </li>
      </ul>
    </li>
  </ul>
  <p v-if="problem" role="alert" class="small">{{ problem }}</p>
</template>

<style scoped>
.offer {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 12px;
  align-items: start;
  padding: 4px 0;
}
</style>
