<script setup lang="ts">
import type { WorkedApplication } from '#core/job/workOutJob'
import type { ApplicationDraft, ProductDraft } from '#core/draft/applicationShape'
import type { LoadGroup } from '#core/plan/loadGroups'
import { inMeasures } from '#core/plan/inMeasures'
import { mixingSteps, phText, waterToStart } from '#core/plan/mixingOrder'
import type { Quantity } from '#core/quantity/quantity'
import type { AmountUnit } from '#core/quantity/units'
import { showMeasured, showQuantity } from '#core/quantity/systems'

/**
 * What goes into every load, in mixing order, to be read wet: loads side by side, or one under the other
 * where there are many.
 */
const props = defineProps<{
  document: ApplicationDraft
  sheet: WorkedApplication
  groups: readonly LoadGroup[]
}>()
const shown = useShown()
/** More columns than this don't fit a page in figures that can be read. */
const MOST_BESIDE = 4
const beside = computed(() => props.groups.length <= MOST_BESIDE)
const steps = computed(() => mixingSteps(props.document.products))
const plan = computed(() => props.sheet.plan)
const plannedOf = (id: string) => props.sheet.products.find((product) => product?.id === id)
const totalOf = (id: string) => plan.value?.totals.products.find((product) => product.id === id)
function amountOf({ load }: LoadGroup, product: ProductDraft) {
  const measured = load.products.find(({ id }) => id === product.id)?.measured
  return (
    measured && {
      shown: showMeasured(measured, plannedOf(product.id)?.measureStep),
      cups: cupsOf(measured, product),
    }
  )
}
/** On paper only a cup that fits: the scale's figure stands above it. */
function cupsOf(measured: Quantity<AmountUnit>, { id, measures = [] }: ProductDraft) {
  const told = inMeasures(measured, measures, plannedOf(id)?.density)
  return told?.state === 'fits' ? told.words : undefined
}
const nameOf = (id: string) => props.document.lawns.find((lawn) => lawn.id === id)?.name || 'a lawn'
const lawnsOf = ({ load }: LoadGroup) => load.areas?.map(nameOf).join(', ')
const ph = computed(() => phText(steps.value.ph))
</script>

<template>
  <table v-if="beside" class="on-paper">
    <thead>
      <tr>
        <th scope="col">In this order</th>
        <th v-for="group in groups" :key="group.load.number" scope="col" class="num">{{ group.title }}</th>
        <th scope="col" class="num">together</th>
      </tr>
    </thead>
    <tbody>
      <tr>
        <td>Water to start, then agitate</td>
        <td v-for="group in groups" :key="group.load.number" class="num">
          <FigureText :shown="showQuantity(waterToStart(group.load.carrier))" />
        </td>
        <td />
      </tr>
      <template v-for="(list, place) in [steps.before, steps.after]" :key="place">
        <template v-if="place === 1">
          <tr>
            <td>Fill to</td>
            <td v-for="group in groups" :key="group.load.number" class="num big">
              <FigureText :shown="showQuantity(group.load.carrier)" />
            </td>
            <td class="num"><FigureText v-if="plan?.totals.mix" :shown="showQuantity(plan.totals.mix)" /></td>
          </tr>
          <tr v-if="ph">
            <td>pH of the finished mix</td>
            <td :colspan="groups.length + 1" class="num">{{ ph }}</td>
          </tr>
        </template>
        <tr v-for="product in list" :key="product.id">
          <td>
            {{ product.name || 'Product' }}
            <span class="soft small"
              >{{ place === 1 ? 'last of all' : product.form
              }}<template v-if="product.registration">, {{ product.registration }}</template></span
            >
          </td>
          <td v-for="group in groups" :key="group.load.number" class="num big">
            <template v-if="amountOf(group, product)"
              ><FigureText :shown="amountOf(group, product)!.shown" /><span
                v-if="amountOf(group, product)!.cups"
                class="cups"
                >{{ amountOf(group, product)!.cups }}</span
              ></template
            >
          </td>
          <td class="num">
            <FigureText
              v-if="totalOf(product.id)"
              :shown="showMeasured(totalOf(product.id)!.measured, plannedOf(product.id)?.measureStep)"
            />
          </td>
        </tr>
      </template>
      <tr v-if="groups.some(lawnsOf)">
        <td>For</td>
        <td v-for="group in groups" :key="group.load.number" class="num wrap">{{ lawnsOf(group) }}</td>
        <td />
      </tr>
      <tr>
        <td>Covers</td>
        <td v-for="group in groups" :key="group.load.number" class="num">
          <FigureText :shown="shown.size(group.load.size.value)" />
        </td>
        <td />
      </tr>
    </tbody>
  </table>
  <template v-else>
    <table class="on-paper">
      <thead>
        <tr>
          <th scope="col">Load</th>
          <th
            v-for="product in [...steps.before, ...steps.after]"
            :key="product.id"
            scope="col"
            class="num wrap"
          >
            {{ product.name || 'Product' }}
          </th>
          <th scope="col" class="num">fill to</th>
          <th scope="col" class="num">covers</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="group in groups" :key="group.load.number">
          <td>
            {{ group.title }} <span v-if="lawnsOf(group)" class="soft small">{{ lawnsOf(group) }}</span>
          </td>
          <td v-for="product in [...steps.before, ...steps.after]" :key="product.id" class="num big">
            <FigureText v-if="amountOf(group, product)" :shown="amountOf(group, product)!.shown" />
          </td>
          <td class="num"><FigureText :shown="showQuantity(group.load.carrier)" /></td>
          <td class="num"><FigureText :shown="shown.size(group.load.size.value)" /></td>
        </tr>
      </tbody>
    </table>
    <p class="small">
      Half the water first, agitate, then from left to right<template v-if="ph"
        >; pH of the finished mix {{ ph }}</template
      >.
    </p>
  </template>
</template>

<style scoped>
.num.wrap {
  white-space: normal;
}
.cups {
  display: block;
  font-size: 14px;
  font-weight: 400;
  white-space: normal;
}
</style>
