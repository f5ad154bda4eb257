<script setup lang="ts">
import { isShared } from '#core/job/route/commonMix'
import { loadGroups } from '#core/plan/loadGroups'
import { mixingSteps } from '#core/plan/mixingOrder'
import type { ProductDraft } from '#core/draft/applicationShape'
import type { MixedProduct } from './mixedProduct'
import { tankIn } from '#core/plan/tankIn'

/** What to measure, load by load or pass by pass, and how far it is to walk. */
defineProps<{ applicationId: string; version: number }>()
const { document, sheet, go, day } = useSheet()
const plan = computed(() => sheet.value.plan)
const steps = computed(() => mixingSteps(document.value.products))
const listed = (products: readonly ProductDraft[]) =>
  products.map(({ id, name, measures = [] }, i): MixedProduct => {
    const planned = sheet.value.products.find((product) => product?.id === id)
    return {
      id,
      name: name || `Product ${i + 1}`,
      step: planned?.measureStep,
      measures,
      density: planned?.density,
    }
  })
const before = computed(() => listed(steps.value.before))
const after = computed(() => listed(steps.value.after))
const lawnNames = (ids: readonly string[] | undefined) =>
  ids?.map((id) => document.value.lawns.find((lawn) => lawn.id === id)?.name || 'a lawn').join(', ')
const tank = computed(() => {
  const { request } = sheet.value
  const unit = plan.value?.loads[0]?.carrier.unit
  return request && unit ? tankIn(request, unit) : undefined
})
/** A hose-end bottle: its calibration tells what it draws, product first and water to the mark. */
const bottle = computed(
  () => document.value.method === 'spray' && document.value.spray.calibration.by === 'hose-end',
)
const groups = computed(() =>
  plan.value && tank.value
    ? loadGroups(plan.value.loads, tank.value.value, bottle.value ? 'bottle' : 'load')
    : [],
)
const missing = computed(() => sheet.value.problems[0])
</script>

<template>
  <section aria-labelledby="loads-title" class="space-y-4">
    <div class="flex items-baseline justify-between">
      <h2 id="loads-title">
        {{ bottle ? 'Bottles' : document.method === 'spray' ? 'Loads' : 'Charge and passes' }}
      </h2>
      <span v-if="plan" class="soft small">{{
        document.method === 'spray' ? 'in mixing order, to measure' : 'to weigh'
      }}</span>
    </div>
    <template v-if="isShared(document)">
      <CommonLoads :day="day" :application-id="applicationId" :version="version" />
      <h3 class="small soft">This site alone</h3>
    </template>
    <template v-if="plan">
      <div v-if="document.method === 'spray' && tank" class="grid gap-x-5 gap-y-5 sm:grid-cols-2">
        <LoadCard
          v-for="(group, i) in groups"
          :key="i"
          :group="group"
          :tank="tank"
          :products="before"
          :last="after"
          :mix-ph="steps.ph"
          :bottle="bottle"
          :lawns="lawnNames(group.load.areas)"
        />
      </div>
      <LazyDryCharge v-else />
      <LazyRateGroups v-if="document.method === 'spray' && sheet.plan?.rates" />
    </template>
    <div v-else class="rule-t py-6">
      <p>What to measure stands here as soon as it can be worked out.</p>
      <p v-if="missing" class="mt-1">
        <UButton variant="link" size="sm" @click="go(missing.path)">
          {{ missing.lacks ? `Next: ${missing.lacks.toLowerCase()}` : missing.message }}
        </UButton>
      </p>
    </div>
    <LoadFields class="rule-t pt-3" />
  </section>
</template>
