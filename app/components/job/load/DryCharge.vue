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
const passes = computed(() =>
  sheet.value.request?.method.kind === 'spread'
    ? sheet.value.request.method.passes
    : document.value.spread.passes,
)
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
      <RateGroups class="mt-3" />
      <table v-if="levels.length > 0" class="passes">
        <caption class="sr-only">
          Passes and checkpoints
        </caption>
        <thead>
          <tr>
            <th scope="col">Pass</th>
            <th scope="col">checkpoint</th>
            <th scope="col" class="num">should be left</th>
          </tr>
        </thead>
        <tbody v-for="pass in passes" :key="pass">
          <tr v-for="(level, i) in levels.filter((one) => one.pass === pass)" :key="i">
            <th v-if="i === 0" scope="rowgroup" :rowspan="levels.filter((one) => one.pass === pass).length">
              {{ pass }}, {{ DIRECTIONS[(pass - 1) % 2] }}
            </th>
            <td :class="{ soft: level.at !== 'end' }">{{ checkpointWords(level) }}</td>
            <td class="num">
              <component :is="level.at === 'end' ? 'strong' : 'span'"
                ><FigureText
                  :shown="showQuantity(level.left)"
                  page="checkpoints"
                  :label="`Left in pass ${pass}, ${checkpointWords(level)}`"
              /></component>
            </td>
          </tr>
        </tbody>
        <tfoot>
          <tr>
            <td colspan="3">
              Each pass <strong v-if="wanted"><FigureText :shown="wanted" /></strong
              ><template v-if="setting"
                >, dial at <strong>{{ setting }}</strong></template
              ><span v-if="!sheet.calibration" class="soft">
                The {{ setting ? 'walk waits' : 'dial and the walk wait' }} for a calibration: start low,
                weigh back, and log it.</span
              >
            </td>
          </tr>
        </tfoot>
      </table>
    </div>
  </article>
</template>

<style scoped>
dt {
  font-size: 13.5px;
  line-height: 1.2;
  margin-top: 6px;
}
.passes {
  border-collapse: collapse;
  width: 100%;
  margin-top: 8px;
}
.passes th,
.passes td {
  padding: 5px 14px 5px 0;
  border-bottom: var(--rule-width) solid var(--rule);
  text-align: left;
  font-weight: 400;
}
.passes tbody th {
  vertical-align: top;
}
.passes thead th {
  color: var(--soft);
  font-size: 13px;
}
.passes .num {
  text-align: right;
  padding-right: 0;
}
</style>
