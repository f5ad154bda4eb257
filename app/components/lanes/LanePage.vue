<script setup lang="ts">
import type { SheetLanes } from '~/composables/job/useLanes'

/** A page about the lanes of one application, with the way back to its job. */
defineProps<{ title: string }>()
defineSlots<{ default: (scope: { readonly worked: SheetLanes }) => unknown }>()
</script>

<template>
  <OneApplication v-slot="{ draft, back }" :title="title">
    <main class="page">
      <div class="page-head">
        <h1>{{ title }}</h1>
        <p class="soft">{{ draft.site }} · {{ draft.purpose }}</p>
        <UButton label="Back to the job" :to="back" />
      </div>
      <WithLanes v-slot="{ worked }"><slot :worked="worked" /></WithLanes>
    </main>
  </OneApplication>
</template>
