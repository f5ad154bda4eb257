<script setup lang="ts">
import { mixingSteps, phText, waterToStart } from '#core/plan/mixingOrder'
import { commonLoads } from '#core/run/common/commonLoads'
import { isNearTo } from '#core/run/corrections/asWanted'
import { readPositive, type Entered } from '#core/quantity/entered'
import { areaSi, type Quantity } from '#core/quantity/quantity'
import { showMeasured } from '#core/quantity/systems'
import type { AmountUnit } from '#core/quantity/units'
import { askWeighing } from '#core/run/corrections/askWeighing'
import { weighingResult } from '#core/run/corrections/weighing'
import { openWorkingBook } from '#core/working/working'
import type { RunStep } from '#core/run/steps/runSteps'
import type { EventBody } from '~/composables/run/useRun'

/** One load, in mixing order: each thing ticked as it goes in, with what the jug really said. */
const { step } = defineProps<{ step: Extract<RunStep, { kind: 'mix' }> }>()
const { frozen, progress, document, done, keep } = useRunScreen()
const shown = useShown()
const load = computed(() => step.load)
const order = computed(() => mixingSteps(document.value.products))
const measuredOf = (productId: string) =>
  progress.value.measured.find((one) => one.load === load.value.number && one.productId === productId)?.amount
const typed = reactive(new Map<string, Entered<AmountUnit>>())
const opened = ref('')

interface Line {
  readonly id: string
  readonly name: string
  readonly wanted: Quantity<AmountUnit>
  readonly real: Quantity<AmountUnit> | undefined
}
const lineOf = ({ id }: { readonly id: string }): readonly Line[] => {
  const planned = load.value.products.find((product) => product.id === id)
  const name = frozen.value.labels.find(({ productId }) => productId === id)?.name || 'Product'
  return planned ? [{ id, name, wanted: planned.measured, real: measuredOf(id) }] : []
}
const before = computed(() => order.value.before.flatMap(lineOf))
const after = computed(() => order.value.after.flatMap(lineOf))
const stepOf = (id: string) => frozen.value.request.products.find((one) => one.id === id)?.measureStep
const figure = ({ id, wanted }: Line) => showMeasured(wanted, stepOf(id))
/** Ticks of water, pH and fill are this screen's alone; what was measured is kept. */
const ticks = reactive(new Set<string>())
const all = computed(() => [...before.value, ...after.value])
const ready = computed(() => all.value.every(({ real }) => real !== undefined))

const measured = (line: Line, amount: Quantity<AmountUnit>): EventBody => ({
  kind: 'measured',
  payload: { load: load.value.number, productId: line.id, amount },
})
async function tick(line: Line) {
  await keep([measured(line, line.wanted)])
}
function openLine(line: Line) {
  opened.value = opened.value === line.id ? '' : line.id
  const { value, unit } = line.real ?? line.wanted
  typed.set(line.id, { text: line.real ? String(value) : '', unit })
}
const readOf = (line: Line) => {
  const entered = typed.get(line.id)
  return entered && entered.text.trim() !== '' ? readPositive(entered, 'amount', line.name) : undefined
}
const answerOf = (line: Line) => {
  const read = readOf(line)
  const asked =
    read?.ok &&
    askWeighing(
      frozen.value,
      {
        productId: line.id,
        wanted: line.wanted,
        forGround: line.wanted,
        size: areaSi(load.value.size),
      },
      read.value,
    )
  if (!asked) return undefined
  const pages = openWorkingBook()
  const result = weighingResult(asked, pages)
  return (
    result && {
      ...result,
      words: overshootWords(result, line.wanted.unit, shown),
      lines: pages.pages().flatMap(({ lines }) => lines),
    }
  )
}
async function take(line: Line) {
  const read = readOf(line)
  if (!read?.ok) return
  await keep([measured(line, read.value)])
  opened.value = ''
}
const started = computed(() => showMeasured(waterToStart(load.value.carrier), undefined))
const putRight = computed(
  () =>
    `Put right for ${frozen.value.common ? 'what was in the tank' : 'the carrier as it came'}; these are ` +
    'not the figures of the paper.',
)
/** How the tank as it was found came to this load. */
const putRightLines = computed(() => {
  const book = openWorkingBook()
  commonLoads(frozen.value, progress.value.tank?.found, book)
  return book.pages().flatMap(({ lines }) => lines)
})
const ph = computed(() => phText(order.value.ph))
</script>

<template>
  <RunFrame :title="`Mix load ${load.number}`" action="Mixed, agitating" :waits="!ready" @act="done()">
    <RunAnswer v-if="step.corrected === 'yes'" level="note" :words="putRight" :lines="putRightLines" />
    <ol class="order">
      <li>
        <TickField
          :ticked="ticks.has('water')"
          label="water first"
          @change="$event ? ticks.add('water') : ticks.delete('water')"
        />
        <strong><FigureText :shown="started" /></strong>
      </li>
      <template v-for="(list, part) in [before, after]" :key="part">
        <li v-if="part === 1 && (ph || after.length > 0)">
          <TickField
            :ticked="ticks.has('ph')"
            :label="`fill up, agitate, pH ${ph ?? ''}`"
            @change="$event ? ticks.add('ph') : ticks.delete('ph')"
          />
        </li>
        <li v-for="line in list" :key="line.id" :data-done="line.real ? '' : undefined">
          <TickField :ticked="line.real !== undefined" :label="line.name" @change="tick(line)" />
          <UButton
            variant="ghost"
            size="lg"
            class="amount"
            :aria-expanded="opened === line.id"
            @click="openLine(line)"
            ><FigureText :shown="figure(line)" /><span class="sr-only"
              >{{ line.name }}: measured another amount</span
            ></UButton
          >
          <p v-if="line.real && !isNearTo(line.real, line.wanted)" class="soft real">
            really {{ shown.amount(line.real).figure }} {{ shown.amount(line.real).unit }}
          </p>
          <div v-if="opened === line.id" class="other">
            <RunFigure
              :path="`measured.${line.id}`"
              label="What the scale or jug says"
              kind="amount"
              :entered="typed.get(line.id) ?? { text: '', unit: line.wanted.unit }"
              :problem="((read) => (read && !read.ok ? read.error.message : undefined))(readOf(line))"
              @change="typed.set(line.id, $event)"
            />
            <RunAnswer
              v-if="answerOf(line)"
              :level="answerOf(line)!.words.level"
              :words="answerOf(line)!.words.text"
              :lines="answerOf(line)!.lines"
            />
            <UButton
              size="xl"
              label="Put that in"
              :disabled="!answerOf(line) || answerOf(line)?.answer === 'over label'"
              @click="take(line)"
            />
          </div>
        </li>
      </template>
      <li>
        <TickField
          :ticked="ticks.has('fill')"
          :label="after.length > 0 ? 'agitate on' : 'fill up to'"
          @change="$event ? ticks.add('fill') : ticks.delete('fill')"
        />
        <strong><FigureText :shown="showMeasured(load.carrier, undefined)" /></strong>
      </li>
    </ol>
    <RunRow word="enough for" :shown="shown.size(areaSi(load.size))" />
    <p class="soft">
      Each dissolved before the next. Gloves and goggles; rinse what was measured into the tank.
    </p>
  </RunFrame>
</template>

<style scoped>
.order {
  list-style: none;
}
.order > li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 4px 12px;
  min-height: 64px;
  border-top: var(--rule-width) solid var(--rule-strong);
  font-size: 19px;
}
.order :deep(label) {
  font-size: 19px;
}
.order strong,
.amount {
  font-size: 26px;
  font-weight: 700;
}
.amount {
  min-height: 56px;
  padding-right: 0;
}
.order > li[data-done] {
  background: linear-gradient(to right, transparent, var(--wet-tint));
}
.real,
.other {
  grid-column: 1 / -1;
  padding-bottom: 12px;
}
.order :deep([role='checkbox']) {
  width: 34px;
  height: 34px;
}
</style>
