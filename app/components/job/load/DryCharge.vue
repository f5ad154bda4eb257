<script setup lang="ts">
import { plural } from '#core/quantity/counting'
import { tubFillsOf } from '#core/plan/tubFills'
import { showMeasured, showQuantity } from '#core/quantity/systems'
import { checkpointWords } from './checkpointWords'

/** A dry application: what to weigh in, what each pass takes, what should be left after it. */
const { document, sheet } = useSheet()
const library = useLibraryStore()
const shown = useShown()
const total = computed(() => sheet.value.plan?.totals.products[0])
const name = computed(() => document.value.products[0]?.name || 'Product 1')
const light = computed(() => sheet.value.light)
const hopper = computed(() => sheet.value.hopper)
const step = computed(() => sheet.value.products[0]?.measureStep)
const levels = computed(() => sheet.value.checkpoints)
const fills = computed(() => tubFillsOf(hopper.value?.weighIn, library.equipment))
const wanted = computed(() =>
  sheet.value.wantedPerPass === undefined ? undefined : shown.rate(sheet.value.wantedPerPass, 'mass'),
)
const setting = computed(() => sheet.value.dial?.setting)
const DIRECTIONS = ['along the long side', 'across, at right angles']
/** The words of a pass stand once, beside its first checkpoint. */
const rows = computed(() =>
  levels.value.map((level, i) => ({
    key: `${i}`,
    level,
    words:
      levels.value[i - 1]?.pass === level.pass
        ? ''
        : `${level.pass}, ${DIRECTIONS[(level.pass - 1) % DIRECTIONS.length]}`,
  })),
)
const COLUMNS = [
  { key: 'pass', head: 'Pass' },
  { key: 'at', head: 'checkpoint' },
  { key: 'left', head: 'should be left', numeric: true },
] as const
</script>

<template>
  <article v-if="total && hopper" class="flex gap-4">
    <VesselColumn
      :full="hopper.weighIn.value * 1.04"
      :filled="hopper.weighIn.value"
      :unit="hopper.weighIn.unit"
      kind="dry"
      :levels="
        levels
          .filter(({ at }) => at === 'end')
          .map(({ left, pass }) => ({ at: left.value, text: `pass ${pass}` }))
      "
    />
    <div class="min-w-0 flex-1">
      <dl class="flex flex-wrap gap-x-6">
        <div>
          <dt>{{ name }}</dt>
          <dd class="figure dry">
            <FigureText
              :shown="showMeasured(hopper.measured, step)"
              :page="`products.${total.id}.measured`"
              :label="`${name} for the lawn`"
            />
          </dd>
        </div>
        <div v-if="hopper.reserve.value > 0">
          <dt>Reserve, comes back</dt>
          <dd class="figure">
            <FigureText
              :shown="showMeasured(hopper.reserve, step)"
              :page="`products.${total.id}.weighIn`"
              label="Reserve"
            />
          </dd>
        </div>
        <div>
          <dt>Weigh in</dt>
          <dd class="figure dry">
            <FigureText
              :shown="showMeasured(hopper.weighIn, step)"
              :page="`products.${total.id}.weighIn`"
              label="Weigh in"
            />
          </dd>
        </div>
      </dl>
      <p v-if="fills" class="small mt-1">
        {{ fills.name }}:
        <template v-for="(fill, i) in fills.fills" :key="i"
          >{{ i > 0 ? ', then ' : '' }}{{ fill.count > 1 ? `${fill.count} x ` : ''
          }}<FigureText :shown="showMeasured(fill.net, step)" page="tub" label="Into the tub" /> (the display
          says
          <FigureText :shown="showMeasured(fill.shows, step)" page="tub" label="On the display" />)</template
        >
      </p>
      <p v-if="light" class="small mt-2">
        Light passes at
        <strong><FigureText :shown="shown.rate(sheet.calibration!.perPass, 'mass')" /></strong> each, turning
        the direction every time, until the weighed amount is out:
        <strong
          ><FigureText
            :shown="{ figure: String(light.passes), unit: '' }"
            page="passes.light"
            label="Light passes"
        /></strong>
        {{ plural(light.passes, 'pass', 'passes')
        }}<template v-if="light.last < 0.995"
          >, the last one over {{ Math.round(light.last * 100) }} % of the ground</template
        >.
      </p>
      <LazyRateGroups v-if="sheet.plan?.rates" class="mt-3" />
      <template v-if="levels.length > 0">
        <p class="mt-3">
          Each pass <strong v-if="wanted"><FigureText :shown="wanted" /></strong
          ><template v-if="setting"
            >, dial at <strong>{{ setting }}</strong></template
          ><span v-if="!sheet.calibration" class="soft">
            The {{ setting ? 'walk waits' : 'dial and the walk wait' }} for a calibration: start low, weigh
            back, and log it.</span
          >
        </p>
        <RowTable caption="Passes and checkpoints" :rows="rows" :columns="COLUMNS" :key-of="({ key }) => key">
          <template #pass="{ row }">{{ row.words }}</template>
          <template #at="{ row }"
            ><span :class="{ soft: row.level.at !== 'end' }">{{ checkpointWords(row.level) }}</span></template
          >
          <template #left="{ row }"
            ><span :class="{ 'font-semibold': row.level.at === 'end' }"
              ><FigureText
                :shown="showQuantity(row.level.left)"
                page="checkpoints"
                :label="`Left in pass ${row.level.pass}, ${checkpointWords(row.level)}`" /></span
          ></template>
        </RowTable>
      </template>
    </div>
  </article>
</template>

<style scoped>
dt {
  font-size: 13.5px;
  line-height: 1.2;
  margin-top: 6px;
}
</style>
