<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { isCleaned } from '#core/rules/cleanOutRules'

/** What the machine was last filled with, and whether it was cleaned out since. */
const { machineId, cleaned = '' } = defineProps<{ machineId: string; cleaned?: string }>()
const { set, locked } = useForm()
const crew = useCrewStore()
const { answer: all } = useAnswers(questions.held)
const held = computed(() => all.value.find(({ equipmentId }) => equipmentId === machineId))
const isClean = computed(() => held.value === undefined || isCleaned({ ...held.value, cleaned }))
</script>

<template>
  <section v-if="held" aria-labelledby="held-title">
    <h2 id="held-title">Last held</h2>
    <p>
      {{ held.products.join(', ') }}, on {{ dayText(held.on) }}.
      <template v-if="isClean"
        >Cleaned out on {{ instantText(cleaned, crew.organization?.timeZone) }}.</template
      >
    </p>
    <UButton
      v-if="!locked && !isClean"
      class="mt-1"
      size="sm"
      icon="i-lucide-spray-can"
      label="It is cleaned out"
      @click="set('document.cleaned', crew.now())"
    />
    <p v-if="!isClean" class="soft small">
      A job that would meet what is left of it asks for a clean-out first.
    </p>
  </section>
</template>
