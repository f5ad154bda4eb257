<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { PAPER_KINDS } from '#core/label/productDocument'
import type { ProductPaper } from '#core/label/productShape'
import { LARGEST_PICTURE } from '#shared/schemas/picture'

/** The label and the safety sheet themselves: brought as PDF or picture, at hand without a network. */
const { papers = [] } = defineProps<{ papers?: readonly ProductPaper[] }>()
const { set, locked } = useForm()
const problem = ref('')
const busy = ref<ProductPaper['what']>()

async function bring(what: ProductPaper['what'], file: File) {
  problem.value =
    file.size > LARGEST_PICTURE
      ? `This file has ${(file.size / 1024 / 1024).toFixed(1)} MB; at most 10 MB are kept. Save it smaller.`
      : ''
  if (problem.value) return
  busy.value = what
  const id = uuid()
  try {
    await tell('PUT', `/attachments/${id}`, file, { 'content-type': file.type || 'application/octet-stream' })
    set('document.papers', [...papers, { id, what, name: file.name.slice(0, 200) }])
  } catch (error) {
    problem.value = errorText(error)
  } finally {
    busy.value = undefined
  }
}
</script>

<template>
  <section aria-labelledby="papers-title">
    <h2 id="papers-title">Label and safety sheet</h2>
    <ul>
      <li v-for="paper in papers" :key="paper.id" class="rule-b flex flex-wrap items-center gap-x-3 py-1.5">
        <UButton
          variant="link"
          icon="i-lucide-file-text"
          :to="crewUrl(`/attachments/${paper.id}`)"
          target="_blank"
          external
          :label="paper.name || paper.what"
        />
        <span class="soft small flex-1">{{ paper.what }}</span>
        <RemoveButton path="document.papers" :list="papers" :id="paper.id" :what="paper.name || paper.what" />
      </li>
    </ul>
    <p v-if="papers.length === 0" class="soft small">
      None yet. A PDF or a photo of it is at hand in the run, also without a network.
    </p>
    <p v-if="!locked" class="flex flex-wrap gap-x-4">
      <FilePick
        v-for="what in PAPER_KINDS"
        :key="what"
        :label="`Add the ${what}`"
        accept="application/pdf,image/png,image/jpeg"
        :loading="busy === what"
        @file="bring(what, $event)"
      />
    </p>
    <p v-if="problem" role="alert" class="text-(--stop)">{{ problem }}</p>
  </section>
</template>
