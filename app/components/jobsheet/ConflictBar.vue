<script setup lang="ts">
import type { Job } from '#shared/schemas/job'
import type { JobDraft } from '~/composables/useJobDraft'

/** Somebody else saved this job meanwhile: both versions side by side in words, and the choice. */
const props = defineProps<{ mine: JobDraft, theirs: Job }>()
const emit = defineEmits<{ keep: [], take: [] }>()
const started = computed(() => props.theirs.state === 'running' || props.theirs.state === 'done')
const differences = computed(() => (['site', 'purpose', 'plannedFor'] as const)
  .filter((field) => props.mine[field] !== props.theirs[field])
  .map((field) => ({ field: { site: 'Site', purpose: 'Purpose', plannedFor: 'Day' }[field], mine: props.mine[field] || 'blank', theirs: props.theirs[field] || 'blank' })))
const products = (job: Pick<Job, 'application'>) => job.application.document.products.map(({ name, rate }) => `${name || 'unnamed'} ${rate.text} ${rate.unit}`).join(', ')
</script>

<template>
  <section class="rule-b px-6 py-3" role="alert" aria-label="Changed elsewhere">
    <p v-if="started"><strong>This job has been started elsewhere:</strong> its plan is frozen, so your changes can’t go in.</p>
    <p v-else><strong>This job was changed elsewhere</strong> since you opened it.</p>
    <dl class="small mt-1 grid grid-cols-[auto_1fr_1fr] gap-x-4">
      <dt /><dd class="soft">mine</dd><dd class="soft">theirs</dd>
      <template v-for="row in differences" :key="row.field"><dt>{{ row.field }}</dt><dd>{{ row.mine }}</dd><dd>{{ row.theirs }}</dd></template>
      <dt>Products</dt><dd>{{ products(mine) }}</dd><dd>{{ products(theirs) }}</dd>
    </dl>
    <div class="mt-2 flex gap-2">
      <UButton v-if="!started" label="Keep mine" size="sm" @click="emit('keep')" />
      <UButton label="Take theirs" size="sm" @click="emit('take')" />
    </div>
  </section>
</template>
