<script setup lang="ts">
import { areaIn, squareMetres } from '#core/quantity/quantity'
import { dimensionOf } from '#core/quantity/rateUnit'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import { spotGround } from '#core/run/aftercare/spotGround'
import { restAdvice } from '#core/run/corrections/restAdvice'
import type { Figure } from '#core/working/figures'
import { openWorkingBook } from '#core/working/working'
import type { OutcomeEntries } from '~/composables/run/useOutcome'
import type { EventBody } from '~/composables/run/useRun'

/** What is left when one stops: what it comes to, and what to do with it. */
const { frozen, record, progress, keep, done } = useRunScreen()
const crew = useCrewStore()
const shown = useShown()
const outcome = useOutcome(record.value)
const { read, entries, wet } = outcome
const before = record.value.used
if (before) {
  entries.left = { text: String(before.left.value), unit: before.left.unit }
  entries.treated = { text: String(before.treated.value), unit: before.treated.unit }
}
const typed = useTyped<OutcomeEntries | null>('entries', null)
if (typed.value) Object.assign(entries, typed.value)
watch(entries, (now) => {
  typed.value = JSON.parse(JSON.stringify(now)) as OutcomeEntries
})
const tried = ref(false)
const book = computed(() => {
  const pages = openWorkingBook()
  const advice = read.value.used && restAdvice(frozen.value, read.value.used, pages, progress.value)
  const linesOf = (figure: Figure) => pages.pages().find((page) => page.figure === figure)?.lines ?? []
  return { advice, leftover: linesOf('run.leftover'), short: linesOf('run.short') }
})
const advice = computed(() => book.value.advice)
const dimension = computed(() => dimensionOf(entries.left.unit))
useWorkingPages(
  () => outcome.pages(),
  computed(() => frozenNames(frozen.value)),
)
const leftWords = computed(() => {
  if (!advice.value) return undefined
  const { leftover, over, onward } = advice.value
  const amount = shown.amountOf(over, dimension.value)
  const told = `${amount.figure} ${amount.unit} over`
  if (onward)
    return {
      level: 'note' as const,
      words:
        `${amount.figure} ${amount.unit} more than planned: it drives on to ${onward}, and is asked for ` +
        'there.',
    }
  if (leftover.answer === 'none') return undefined
  const rate = wet ? shown.carrier(leftover.perArea) : shown.rate(leftover.perArea, 'mass')
  return leftover.answer === 'spread'
    ? {
        level: 'note' as const,
        words:
          `${told}: once more over all of it, across, at ${rate.figure} ${rate.unit} (then ` +
          `${Math.round(100 * leftover.then)} % of plan), or keep it for the next job.`,
      }
    : {
        level: 'warn' as const,
        words: `${told}: the label has no room for it here. Keep it, or an extra strip; never dump it.`,
      }
})
const shortWords = computed(() => {
  if (!advice.value || advice.value.uncovered === 0) return undefined
  const ground = shown.size(advice.value.uncovered)
  const need = shown.amountOf(advice.value.shortOf, dimension.value)
  return (
    `${ground.figure} ${ground.unit} not reached: it needs ${need.figure} ${need.unit}` +
    `${wet ? ' of spray' : ''}. Weigh that out and go on, or end here.`
  )
})

const spotLines = ref<readonly string[]>([])
/** Spots: what went out at the calibrated carrier says how much ground they came to. */
function takeSpots() {
  const { used } = read.value
  if (!used) {
    tried.value = true
    return
  }
  const pages = openWorkingBook()
  const ground = spotGround(frozen.value.request, used, pages)
  spotLines.value = pages.pages().flatMap(({ lines }) => lines)
  if (ground === undefined) return
  const { size } = SYSTEM_UNITS[crew.units]
  const { value } = areaIn(squareMetres(ground), size)
  entries.treated = { text: String(Number(value.toPrecision(4))), unit: size }
}

async function take() {
  tried.value = true
  const { entered, outcomes } = read.value
  if (!entered || outcomes.length === 0) {
    const [path] = Object.keys(read.value.problems)
    document.querySelector<HTMLElement>(`[data-path="${path}"]`)?.focus()
    return
  }
  await keep([{ kind: 'used', payload: entered } as EventBody])
  await done()
}
onMounted(() => document.querySelector<HTMLElement>('[data-path="left"]')?.focus())
</script>

<template>
  <RunFrame title="What is left?" action="Take it" @act="take">
    <OutcomeFields :outcome="outcome" :frozen="frozen" :tried="tried" />
    <UButton
      v-if="wet"
      class="mt-3"
      variant="link"
      icon="i-lucide-scan-search"
      label="Spots only: ground from what was used"
      @click="takeSpots"
    />
    <OutcomeVerdicts
      v-if="read.outcomes.length > 0"
      class="mt-4"
      :outcomes="read.outcomes"
      :frozen="frozen"
    />
    <RunAnswer v-if="leftWords" :level="leftWords.level" :words="leftWords.words" :lines="book.leftover" />
    <RunAnswer v-if="shortWords" level="warn" :words="shortWords" :lines="book.short" />
    <InlineWorking :lines="spotLines" />
    <p v-if="record.progress.strips.length > 0" class="soft">
      Beside it:
      {{
        record.progress.strips
          .map(
            ({ name, amount, size }) =>
              `${name || 'a strip'}, ${amount.value} ${amount.unit} on ${size.value} ${size.unit}`,
          )
          .join('; ')
      }}.
    </p>
  </RunFrame>
</template>
