<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { blankRateLine } from '#core/label/blankProduct'
import type { ProductDocument, RateLine } from '#core/label/productShape'
import { enteredWords } from '#core/quantity/enteredWords'
import type { RowColumn } from '~/components/field/RowTable.vue'
import { rateUnitsFor } from '~/components/job/rate/rateUnits'

/** The rate lines of a label: one for each use, with its limits, in the units they were printed in. */
const props = defineProps<{ document: ProductDocument }>()
const { set, locked, go } = useForm()
const crew = useCrewStore()
const notice = useNotice()
const units = computed(() => rateUnitsFor(props.document.form === 'granule' ? 'spread' : 'spray'))
const openId = ref(props.document.lines[0]?.id)
/** The line that is open below the others, with its place. */
const open = computed(() => {
  const at = Math.max(
    0,
    props.document.lines.findIndex(({ id }) => id === openId.value),
  )
  return props.document.lines.flatMap((line, i) => (i === at ? [{ line, i }] : []))
})
const COLUMNS: readonly RowColumn<RateLine>[] = [
  { key: 'use', head: 'Use' },
  { key: 'rate', head: 'Rate', from: 'laptop' },
  { key: 'range', head: 'Label', from: 'laptop' },
  { key: 'year', head: 'Most a year', from: 'laptop' },
  { key: 'repeat', head: 'Repeat' },
]
function addLine() {
  const line = blankRateLine(uuid(), props.document.form, crew.units)
  const place = props.document.lines.length
  set('document.lines', [...props.document.lines, line])
  openId.value = line.id
  void go(`document.lines.${place}.use`)
}
const table = useTemplateRef('table')
const moveLine = (from: number, to: number) => set('document.lines', moved(props.document.lines, from, to))
useDragOrder(
  () => table.value?.querySelector('tbody'),
  (from, to) => {
    const before = props.document.lines
    moveLine(from, to)
    notice.say(`It is line ${to + 1} of the label now.`, undefined, {
      label: 'Undo',
      act: () => set('document.lines', before),
    })
  },
)
const dropLine = (id: string) =>
  set(
    'document.lines',
    props.document.lines.filter((line) => line.id !== id),
  )
</script>

<template>
  <section aria-labelledby="lines-title" class="space-y-3">
    <div class="flex items-baseline gap-4">
      <h2 id="lines-title">Rates on the label</h2>
      <UButton v-if="!locked" variant="link" size="sm" @click="addLine"> Add a rate line </UButton>
    </div>
    <div v-if="document.lines.length > 1" ref="table">
      <RowTable
        caption="Rate lines of the label"
        :rows="document.lines"
        :columns="COLUMNS"
        :key-of="({ id }) => id"
      >
        <template #use="{ row }"
          ><span class="flex items-center"
            ><DragGrip v-if="!locked" class="relative z-1" /><UButton
              variant="link"
              size="sm"
              class="row-link"
              :aria-expanded="row.id === openId"
              @click="openId = row.id"
              >{{ row.use || 'unnamed use' }}</UButton
            ></span
          ></template
        >
        <template #under="{ row }">{{ enteredWords(row.rate) }}</template>
        <template #rate="{ row }"
          ><span class="small">{{ enteredWords(row.rate) }}</span></template
        >
        <template #range="{ row }"
          ><span class="small">{{ enteredWords(row.low, row.high) }}</span></template
        >
        <template #year="{ row }"
          ><span class="small">{{ enteredWords(row.year) }}</span></template
        >
        <template #repeat="{ row }"
          ><span class="small">{{ enteredWords(row.repeatFrom, row.repeatTo) }}</span></template
        >
      </RowTable>
    </div>
    <div
      v-for="{ line, i } in open"
      :key="line.id"
      class="space-y-2 pb-3"
      :class="{ 'open-line': document.lines.length > 1 }"
    >
      <div class="fields">
        <TextField
          :path="`document.lines.${i}.use`"
          label="Use: target, grass"
          placeholder="as on the label"
          class="wide"
        />
      </div>
      <PastedLabel v-if="!locked" :document="document" :at="i" @put="set('document.lines', $event)" />
      <LineTold
        :line="line"
        :path="`document.lines.${i}`"
        :units="units"
        :has-actives="document.actives.length > 0"
      />
      <div v-if="document.lines.length > 1 && !locked" class="flex flex-wrap gap-x-4">
        <UButton variant="link" size="sm" :disabled="i === 0" @click="moveLine(i, i - 1)">Earlier</UButton>
        <UButton
          variant="link"
          size="sm"
          :disabled="i === document.lines.length - 1"
          @click="moveLine(i, i + 1)"
          >Later</UButton
        >
        <UButton variant="link" size="sm" @click="dropLine(line.id)">Remove this line</UButton>
      </div>
    </div>
  </section>
</template>

<style scoped>
.open-line {
  border-left: 3px solid var(--ink);
  padding-left: 14px;
}
</style>
