<script setup lang="ts">
import { loadGroups } from '#core/plan/loadGroups'
import { mixingOrder } from '#core/plan/mixingOrder'
import { tankIn } from '#core/plan/tankIn'

/** What to measure, load by load or pass by pass, and how far it is to walk. */
const { document, sheet, go } = useSheet()
const plan = computed(() => sheet.value.plan)
const ordered = computed(() => mixingOrder(document.value.products).map(({ id, name }, i) => ({
  id, name: name || `Product ${i + 1}`, step: sheet.value.products.find((product) => product?.id === id)?.measureStep,
})))
const tank = computed(() => {
  const { request } = sheet.value
  const unit = plan.value?.loads[0]?.carrier.unit
  return request && unit ? tankIn(request, unit) : undefined
})
const groups = computed(() => (plan.value && tank.value ? loadGroups(plan.value.loads, tank.value.value) : []))
const missing = computed(() => sheet.value.problems[0])
</script>

<template>
  <section aria-labelledby="loads-title" class="space-y-4">
    <div class="flex items-baseline justify-between">
      <h2 id="loads-title">{{ document.method === 'spray' ? 'Loads' : 'Charge and passes' }}</h2>
      <span v-if="plan" class="soft small">{{ document.method === 'spray' ? 'in mixing order, to measure' : 'to weigh' }}</span>
    </div>
    <template v-if="plan">
      <div v-if="document.method === 'spray' && tank" class="grid gap-x-5 gap-y-5 sm:grid-cols-2">
        <LoadCard v-for="(group, i) in groups" :key="i" :group="group" :tank="tank" :products="ordered" />
      </div>
      <DryCharge v-else />
    </template>
    <div v-else class="rule-t py-6">
      <p>What to measure stands here as soon as it can be worked out.</p>
      <p v-if="missing" class="mt-1"><button type="button" class="plain-button way-out" @click="go(missing.path)">{{ missing.kind === 'missing' ? `Next: ${missing.message.replace(' is still missing.', '').toLowerCase()}` : missing.message }}</button></p>
    </div>
    <div class="flex flex-wrap gap-4">
      <GroundSketch />
      <WalkFigures v-if="sheet.walk" />
    </div>
  </section>
</template>
