<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { daysBetween } from '#core/calendar/daysBetween'
import type { SpreaderDocument } from '#core/calibration/equipmentDocument'
import { flowAt, MARGIN } from '#core/calibration/settingCurve'
import { settingForRate, spreaderCurve } from '#core/calibration/spreaderCurve'
import { formatFigure } from '#core/quantity/format'
import { fieldReader } from '#core/quantity/fieldReader'
import { lengthSi, speedSi } from '#core/quantity/quantity'
import { rateUnitParts } from '#core/quantity/rateUnit'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import type { Entered } from '#core/quantity/entered'
import { AREA_RATE_UNITS, isMassUnit, METRES_PER_SECOND_PER, SPEED_UNITS, type AreaRateUnit, type SpeedUnit } from '#core/quantity/units'
import { closedWorkingBook } from '#core/working/working'
import type { Calibration } from '#shared/schemas/equipment'

/** Asking the curve of a spreader: which setting gives a rate, in so many passes, at a pace. Nothing is saved; it is a question. */
const props = defineProps<{ calibrations: readonly Calibration[], spreader: SpreaderDocument }>()
const crew = useCrewStore()
const colours = useThemeColours()
const products = computed(() => [...new Set(props.calibrations.flatMap(({ document }) => (document.kind === 'spread' && document.course.product ? [document.course.product] : [])))].toSorted())
const product = ref(products.value.toSorted((a, b) => spreaderCurve(props.calibrations, b, crew.today()).curve.means.length - spreaderCurve(props.calibrations, a, crew.today()).curve.means.length)[0] ?? '')
const rate = ref<Entered<AreaRateUnit>>({ text: '', unit: SYSTEM_UNITS[crew.units].massRate })
const passes = ref(2)
const speed = ref<Entered<SpeedUnit>>({ text: '', unit: SYSTEM_UNITS[crew.units].speed })
const MASS_RATES = AREA_RATE_UNITS.filter((unit) => isMassUnit(unit.split('/')[0] ?? ''))
const curve = computed(() => spreaderCurve(props.calibrations, product.value, crew.today()))

const asked = computed(() => {
  const fields = fieldReader()
  const wanted = fields.optional('rate', rate.value, 'massRate', 'Rate', 'above-zero')
  const pace = fields.optional('speed', speed.value, 'speed', 'Pace', 'above-zero')
  const width = fields.optional('swath', props.spreader.swath, 'length', 'Swath', 'above-zero')
  const problem = fields.problems[0]?.message
  const [mps, swath] = [pace ? speedSi(pace) : curve.value.speed, width ? lengthSi(width) : curve.value.width]
  if (!wanted || problem || mps === undefined || swath === undefined) return { problem }
  const answer = settingForRate(curve.value, { rate: wanted.value * rateUnitParts(wanted.unit).factor, passes: passes.value, speed: mps, swath }, 'setting', closedWorkingBook)
  return { answer, mps, swath }
})
const WORDS = { tested: '', margin: ' It lies a little beyond the tested settings: try it on a course first.', guess: ' Only one setting is tested, so this is a guess: run a course at it.' } as const
const sentence = computed(() => {
  const { answer, problem } = asked.value
  if (problem) return problem
  if (!answer) return ''
  if (answer.ok) {
    const { setting, spread, reach } = answer.value
    return `Setting ${formatFigure(setting)}${spread === undefined ? '' : `, expect ${(200 * spread).toFixed(0)} % either way`}, last tested ${dayText(curve.value.newest)}, ${daysBetween(curve.value.newest, crew.today())} days ago.${WORDS[reach]}`
  }
  switch (answer.error.kind) {
    case 'noPoints': return 'Nothing with this product is calibrated with a speed and a number on the dial.'
    case 'impossible': return `Between settings ${answer.error.between.join(' and ')} more open lets less through: one of the two calibrations is wrong. Repeat them.`
    case 'outside': return `That is beyond what was tested (settings ${formatFigure(answer.error.least.setting)} to ${formatFigure(answer.error.most.setting)}, and ${100 * MARGIN} % of their range): calibrate further out, or change passes or pace.`
    default: return answer.error satisfies never
  }
})
const picture = computed(() => {
  const { means } = curve.value.curve
  const [first, last] = [means[0], means.at(-1)]
  if (!first || !last || means.length < 2) return undefined
  const at = Array.from({ length: 61 }, (_, i) => first.setting + ((last.setting - first.setting) * i) / 60)
  const { answer } = asked.value
  const flow = (setting: number) => {
    const read = flowAt(curve.value.curve, setting)
    return read.ok ? 1000 * read.value.flow : undefined
  }
  const spread = curve.value.curve.spread ?? 0
  const band = (times: number) => ({ type: 'line', showSymbol: false, silent: true, lineStyle: { color: colours.value.soft, width: 1, type: 'dashed' }, itemStyle: { color: colours.value.soft }, data: at.map((setting) => [setting, (flow(setting) ?? 0) * times]) })
  return {
    legend: { show: false }, xAxis: { type: 'value', name: 'setting', nameLocation: 'middle', nameGap: 26, min: Math.floor(first.setting - 1), max: Math.ceil(last.setting + 1) }, yAxis: { type: 'value', name: 'g/s through the gate' },
    series: [
      { type: 'line', showSymbol: false, lineStyle: { color: colours.value.dry, width: 2.5 }, itemStyle: { color: colours.value.dry }, data: at.map((setting) => [setting, flow(setting)]), ...(answer?.ok && { markLine: { symbol: 'none', silent: true, label: { show: false }, lineStyle: { color: colours.value.action, width: 1.5 }, data: [{ xAxis: answer.value.setting }] } }) },
      ...(spread > 0 ? [band(1 - 2 * spread), band(1 + 2 * spread)] : []),
      { type: 'line', lineStyle: { width: 0 }, symbol: 'circle', symbolSize: 7, itemStyle: { color: colours.value.ink }, data: curve.value.points.map((point) => [point.setting, 1000 * point.flow]) },
    ],
  }
})
const speedHint = computed(() => (curve.value.speed === undefined ? undefined : `blank: ${formatFigure(curve.value.speed / METRES_PER_SECOND_PER[speed.value.unit])} ${speed.value.unit}, as tested`))
</script>

<template>
  <section aria-labelledby="ask-title" class="mt-6 space-y-2">
    <h2 id="ask-title">Which setting?</h2>
    <div class="grid grid-cols-2 gap-2">
      <label class="block"><span class="soft small block">Product</span><select v-model="product" class="field"><option v-for="name in products" :key="name" :value="name">{{ name }}</option></select></label>
      <QuantityField path="ask.rate" label="Rate, all passes" kind="massRate" :entered="rate" :units="MASS_RATES" @change="rate = $event" />
      <label class="block"><span class="soft small block">Passes</span><select v-model.number="passes" class="field"><option v-for="count in 4" :key="count" :value="count">{{ count }}</option></select></label>
      <QuantityField path="ask.speed" label="Pace" kind="speed" :entered="speed" :units="SPEED_UNITS" :hint="speedHint" @change="speed = $event" />
    </div>
    <p v-if="sentence" role="status" :class="{ sure: asked.answer?.ok }">{{ sentence }}</p>
    <p v-else class="soft small">Type a rate: the answer comes from all calibrations with this product.</p>
    <p v-if="curve.left > 0" class="soft small">{{ curve.left }} without a timed speed or a number for its setting left out.</p>
    <BenchChart v-if="picture" :option="picture" label="Flow against setting, with the tested points and their band" :height="210" />
  </section>
</template>

<style scoped>
.sure { font-size: 18px; font-weight: 600; }
</style>
